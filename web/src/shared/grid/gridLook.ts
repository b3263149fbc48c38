import { HEADER_HEIGHT } from "./GridHeader";

export const ROW_HEIGHT = 27;
const SCROLLBAR = 14;

/** The height of a grid in a dialog: as many rows as it has, up to so many. */
export const shortGrid = (rows: number, most: number) =>
  `${HEADER_HEIGHT + ROW_HEIGHT * Math.min(most, rows) + SCROLLBAR}px`;

/**
 * How lines and cells look, said once for all of them: they are many, come and go while one scrolls, and so are plain
 * elements with these classes.
 */
export const gridLook = {
  "& .line": {
    position: "absolute",
    top: 0,
    left: 0,
    display: "flex",
    width: "100%",
    height: `${ROW_HEIGHT}px`,
    "--ground": "var(--chakra-colors-ground)",
  },
  "& .line.lit": { bg: "riskTint", "--ground": "var(--chakra-colors-risk-tint)" },
  "& .line.on": { bg: "actionTint", "--ground": "var(--chakra-colors-action-tint)" },
  "& .line.strong": { fontWeight: 600 },
  "& .line.soft .cell, & .cell.soft": { color: "softInk" },
  // What sticks is a layer of its own to the browser, so only where there is something to scroll sideways.
  "&[data-sideways] .cells": { position: "sticky", left: 0, zIndex: 1 },
  "& .cells": {
    display: "flex",
    flexShrink: 0,
    bg: "var(--ground)",
    borderBottomWidth: "1px",
    borderRightWidth: "1px",
    borderColor: "line",
  },
  "& .cell": {
    position: "relative",
    display: "flex",
    alignItems: "center",
    flexShrink: 0,
    px: 2,
    lineHeight: `${ROW_HEIGHT - 1}px`,
    cursor: "default",
  },
  "& .cell.right": { justifyContent: "flex-end", textAlign: "right" },
  "& .cell.covered": { bg: "actionTint" },
  "& .cell.active": { boxShadow: "inset 0 0 0 2px var(--chakra-colors-action)" },
  "& .cell > span": { overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" },
  "& .cell > button": { mr: 1, color: "softInk" },
  // Who else is at a row stands at its edge; who has just edited it, with their name.
  "& .mark": {
    position: "absolute",
    zIndex: 2,
    left: 0,
    top: 0,
    height: "100%",
    minW: "3px",
    bg: "action",
    pointerEvents: "none",
  },
  "& .mark.fresh": {
    px: 2,
    color: "onAction",
    fontSize: "11.5px",
    fontWeight: 600,
    lineHeight: `${ROW_HEIGHT}px`,
    pointerEvents: "auto",
  },
  "& .drawing": {
    position: "relative",
    flex: 1,
    minW: 0,
    borderBottomWidth: "1px",
    borderColor: "line",
  },
} as const;

/** The names that hold, as one class attribute. */
export const classes = (...names: (string | false | undefined)[]) => names.filter(Boolean).join(" ");
