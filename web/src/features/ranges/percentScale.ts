const LEAST = 40;
const MOST = 230;
const MARGIN = 26;

export const TICKS = [50, 75, 100, 125, 150, 175, 200];

/** From percent of planned to pixels; what lies beyond the axis is drawn at its end. */
export function percentScale(width: number): (percent: number) => number {
  const scale = (width - 2 * MARGIN) / (MOST - LEAST);
  return (percent) => MARGIN + (Math.max(LEAST, Math.min(MOST, percent)) - LEAST) * scale;
}
