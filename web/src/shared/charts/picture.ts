const SVG = "http://www.w3.org/2000/svg";
const PNG_SCALE = 2;

/** The theme's colours stand in drawings as variables, which mean nothing outside the page. */
function resolved(text: string, style: CSSStyleDeclaration): string {
  return text.replace(
    /var\((--[\w-]+)\)/g,
    (whole, name: string) => style.getPropertyValue(name).trim() || whole,
  );
}

/** Everything drawn in a box as one picture: the drawings that lie over each other, on the page's ground. */
export function svgOf(box: HTMLElement): string {
  const frame = box.getBoundingClientRect();
  const style = getComputedStyle(document.documentElement);
  const picture = document.createElementNS(SVG, "svg");
  picture.setAttribute("xmlns", SVG);
  picture.setAttribute("width", String(frame.width));
  picture.setAttribute("height", String(frame.height));
  picture.setAttribute("font-family", "Source Sans 3, sans-serif");
  const ground = document.createElementNS(SVG, "rect");
  ground.setAttribute("width", "100%");
  ground.setAttribute("height", "100%");
  ground.setAttribute("fill", style.getPropertyValue("--chakra-colors-ground").trim());
  picture.append(ground);
  for (const drawing of box.querySelectorAll("svg")) {
    if (drawing.parentElement?.closest("svg")) continue;
    const at = drawing.getBoundingClientRect();
    const copy = drawing.cloneNode(true) as SVGSVGElement;
    copy.removeAttribute("class");
    copy.removeAttribute("style");
    copy.setAttribute("x", String(at.left - frame.left));
    copy.setAttribute("y", String(at.top - frame.top));
    copy.setAttribute("width", String(at.width));
    copy.setAttribute("height", String(at.height));
    picture.append(copy);
  }
  return resolved(new XMLSerializer().serializeToString(picture), style);
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
