import { StyleSheet } from "@emotion/sheet";
import "@testing-library/jest-dom/vitest";
import { cleanup, configure } from "@testing-library/react";
import { afterEach } from "vitest";
import { useNotes } from "../shared/ui/notify";
import { noServer, served } from "./aServer";

// The browser of the tests lays nothing out and knows no media: everything is as wide and as high as a window.
const SIZES = { clientWidth: 1200, clientHeight: 600, offsetWidth: 1200, offsetHeight: 600 };
for (const [name, size] of Object.entries(SIZES))
  Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => size });
// Nor does it read what is in a file.
Blob.prototype.text = function (this: Blob) {
  return new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.readAsText(this);
  });
};
Element.prototype.scrollTo = () => undefined;
Element.prototype.scrollIntoView = () => undefined;
Element.prototype.setPointerCapture = () => undefined;
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
window.matchMedia = (media) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as never;

globalThis.fetch = served;
// Machines that check much at a time are slow.
configure({ asyncUtilTimeout: 20_000 });
afterEach(cleanup);
afterEach(noServer);
afterEach(() => useNotes.getState().dismiss());

// Looks are seen in the browser alone; here each rule would be asked whether it hides something, for each look at it.
StyleSheet.prototype.insert = () => undefined;
