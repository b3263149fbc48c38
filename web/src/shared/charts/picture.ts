const SVG = "http://www.w3.org/2000/svg";
const PNG_SCALE = 2;
const TITLE_HEIGHT = 40;
const FAMILY = "Source Sans 3 Variable";
const FONTS = "'Source Sans 3 Variable', 'Source Sans 3', 'Liberation Sans', Arial, sans-serif";

/** What a drawing takes from the page's style, and must carry with it. */
const CARRIED = [
  "fill",
  "fill-opacity",
  "stroke",
  "stroke-width",
  "stroke-opacity",
  "stroke-dasharray",
  "font-size",
  "font-family",
  "font-weight",
  "text-anchor",
  "opacity",
];

/** The page's type for Latin letters as a rule that carries the letters with it; nothing where it cannot be had. */
async function carriedType(): Promise<string> {
  const rules = [...document.styleSheets].flatMap((sheet) =>
    [...sheet.cssRules].filter((rule) => rule instanceof CSSFontFaceRule).map((rule) => ({ rule, sheet })),
  );
  const latin = rules.find(({ rule }) => rule.cssText.includes(FAMILY) && /U\+0+-0*FF\b/i.test(rule.cssText));
  const address = /url\("?([^")]+)"?\)/.exec(latin?.rule.style.getPropertyValue("src") ?? "")?.[1];
  if (!latin || !address) return "";
  const file = await (await fetch(new URL(address, latin.sheet.href ?? location.href))).blob();
  const data = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error("The type could not be read."));
    reader.readAsDataURL(file);
  });
  return `@font-face{font-family:'${FAMILY}';font-weight:200 900;src:url(${data})}`;
}

/** A drawing with its looks in itself, so that it is the same outside the page. */
function carried(drawing: SVGSVGElement): SVGSVGElement {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const originals = [drawing, ...drawing.querySelectorAll<SVGElement>("*")];
  const copies = [copy, ...copy.querySelectorAll<SVGElement>("*")];
  originals.forEach((original, i) => {
    const style = getComputedStyle(original);
    const made = copies[i];
    made?.removeAttribute("class");
    made?.removeAttribute("style");
    for (const property of CARRIED) made?.setAttribute(property, style.getPropertyValue(property));
  });
  return copy;
}

function element(name: string, attributes: Record<string, string | number>): SVGElement {
  const made = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, String(value));
  return made;
}

/** Everything drawn in a box as one picture under its title: the drawings that lie over each other, on the page's ground. */
export async function svgOf(box: HTMLElement, title: string): Promise<string> {
  const frame = box.getBoundingClientRect();
  const page = getComputedStyle(document.documentElement);
  const color = (name: string) => page.getPropertyValue(`--chakra-colors-${name}`).trim();
  const [width, height] = [frame.width, frame.height + TITLE_HEIGHT];
  const picture = element("svg", { xmlns: SVG, width, height, "font-family": FONTS });
  picture.append(element("rect", { width, height, fill: color("ground") }));
  const words = element("text", { x: 16, y: 26, "font-size": 17, "font-weight": 600, fill: color("ink") });
  words.textContent = title;
  picture.append(words);
  for (const drawing of box.querySelectorAll("svg")) {
    if (drawing.parentElement?.closest("svg")) continue;
    const at = drawing.getBoundingClientRect();
    const copy = carried(drawing);
    copy.setAttribute("x", String(at.left - frame.left));
    copy.setAttribute("y", String(at.top - frame.top + TITLE_HEIGHT));
    copy.setAttribute("width", String(at.width));
    copy.setAttribute("height", String(at.height));
    picture.append(copy);
  }
  const type = element("style", {});
  type.textContent = await carriedType();
  picture.prepend(type);
  return new XMLSerializer().serializeToString(picture);
}

/** The same in pixels, twice as fine as on the screen. */
export async function pngOf(svg: string): Promise<Blob> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svg], { type: "image/svg+xml" }));
  try {
    await image.decode();
    const canvas = document.createElement("canvas");
    canvas.width = image.width * PNG_SCALE;
    canvas.height = image.height * PNG_SCALE;
    const context = canvas.getContext("2d");
    if (!context) throw new Error("This browser cannot draw pictures.");
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob(
        (blob) => (blob ? resolve(blob) : reject(new Error("No picture came of it."))),
        "image/png",
      ),
    );
  } finally {
    URL.revokeObjectURL(image.src);
  }
}

/** Hands a file to the browser to be kept. */
export function keepFile(content: Blob, name: string) {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
