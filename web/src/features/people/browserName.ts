const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Edg\//, "Edge"],
  [/Firefox\//, "Firefox"],
  [/Chrom(e|ium)\//, "Chromium or Chrome"],
  [/Safari\//, "Safari"],
];
const SYSTEMS: readonly (readonly [RegExp, string])[] = [
  [/Android/, "Android"],
  [/iPhone|iPad/, "iOS"],
  [/Windows/, "Windows"],
  [/Mac OS X/, "macOS"],
  [/Linux/, "Linux"],
];

/** What a browser calls itself, in words that tell one from another. */
export function browserName(agent: string): string {
  const find = (names: typeof BROWSERS) => names.find(([pattern]) => pattern.test(agent))?.[1];
  const browser = find(BROWSERS) ?? "A browser";
  const system = find(SYSTEMS);
  return system ? `${browser} on ${system}` : browser;
}
