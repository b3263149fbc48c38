import type { BriefLine } from "../../shared/api/client";

/** Words as they are typed: paragraphs with fields in braces, and what the fields said beside them. */
export interface Typed {
  words: string[];
  seen: Record<string, string>;
}

const FIELD = "data-field";

/** A number in words that are typed: it is taken out as a whole, and nothing is typed into it. */
export function fieldNode(field: string, text: string): HTMLElement {
  const node = document.createElement("span");
  node.setAttribute(FIELD, field);
  node.contentEditable = "false";
  node.textContent = text;
  node.title = field;
  return node;
}

/** Fills an editor with paragraphs. */
export function fill(editor: HTMLElement, lines: readonly BriefLine[]) {
  editor.replaceChildren(
    ...(lines.length > 0 ? lines : [{ pieces: [] }]).map((line) => {
      const paragraph = document.createElement("p");
      for (const { field, text } of line.pieces) {
        paragraph.append(field ? fieldNode(field, text) : document.createTextNode(text));
      }
      if (line.pieces.length === 0) paragraph.append(document.createElement("br"));
      return paragraph;
    }),
  );
}

/** Reads an editor: what browsers make of typing and pasting are text, line breaks and paragraphs. */
export function read(editor: HTMLElement): Typed {
  const words: string[] = [""];
  const seen: Record<string, string> = {};
  const add = (text: string) => (words[words.length - 1] += text);
  const walk = (node: Node) => {
    if (node.nodeType === Node.TEXT_NODE) {
      add((node.textContent ?? "").replace(/\u00a0/g, " "));
      return;
    }
    if (!(node instanceof HTMLElement)) return;
    const field = node.getAttribute(FIELD);
    if (field) {
      add(`{${field}}`);
      seen[field] = node.textContent ?? "";
      return;
    }
    const isBlock = node.tagName === "P" || node.tagName === "DIV";
    if ((isBlock && words.at(-1) !== "") || (node.tagName === "BR" && node.nextSibling)) words.push("");
    node.childNodes.forEach(walk);
    if (isBlock && node.nextSibling) words.push("");
  };
  editor.childNodes.forEach(walk);
  const lines = words.map((line) => line.trim());
  return { words: lines.filter((line, i) => line !== "" || (i > 0 && lines[i - 1] !== "")), seen };
}

/** Whether the words are those that stood there before. */
export const same = (typed: Typed, lines: readonly BriefLine[]) =>
  typed.words.join("\n") === lines.map((line) => line.template).join("\n");
