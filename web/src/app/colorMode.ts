const KEY = "tychon.colours";

export type ColorMode = "light" | "dark";

export function currentColorMode(): ColorMode {
  const kept = localStorage.getItem(KEY);
  if (kept === "light" || kept === "dark") return kept;
  return window.matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

function apply(mode: ColorMode) {
  document.documentElement.classList.toggle("dark", mode === "dark");
  document.documentElement.style.colorScheme = mode;
}

export function startColorMode() {
  apply(currentColorMode());
}

export function switchColorMode(): ColorMode {
  const mode = currentColorMode() === "dark" ? "light" : "dark";
  localStorage.setItem(KEY, mode);
  apply(mode);
  return mode;
}
