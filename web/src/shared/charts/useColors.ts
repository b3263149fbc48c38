import { useEffect, useState } from "react";

const NAMES = ["ink", "softInk", "line", "strongLine", "panel", "simulated", "simulatedSoft"] as const;

export type Colors = Record<(typeof NAMES)[number], string>;

function read(): Colors {
  const style = getComputedStyle(document.documentElement);
  return Object.fromEntries(
    NAMES.map((name) => [
      name,
      style
        .getPropertyValue(`--chakra-colors-${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}`)
        .trim(),
    ]),
  ) as Colors;
}

/** The theme's colours as plain values, which charts need; they follow the switch from light to dark. */
export function useColors(): Colors {
  const [colors, setColors] = useState(read);
  useEffect(() => {
    const observer = new MutationObserver(() => setColors(read()));
    observer.observe(document.documentElement, { attributes: true, attributeFilter: ["class"] });
    return () => observer.disconnect();
  }, []);
  return colors;
}
