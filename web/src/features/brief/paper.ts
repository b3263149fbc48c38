/** The colours of paper, which are the same by day and by night: what is read here is what is printed. */
export const PAPER = {
  sheet: "#FFFEFB",
  ink: "#1F2B33",
  soft: "#5B666E",
  line: "#D9D0BF",
  action: "#0E6E6E",
  tint: "#E3F0EE",
  again: "#7C3A6B",
  againTint: "#F3EAF1",
} as const;
