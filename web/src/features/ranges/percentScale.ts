const LEAST = 40;
const MOST = 230;
const MARGIN = 26;

const FINE = [50, 75, 100, 125, 150, 175, 200];
const COARSE = [50, 100, 150, 200];
/** Pixels below which every other label is left out. */
const ROOM_FOR_ALL = 330;

export const ticks = (width: number) => (width < ROOM_FOR_ALL ? COARSE : FINE);

/** From percent of planned to pixels; what lies beyond the axis is drawn at its end. */
export function percentScale(width: number): (percent: number) => number {
  const scale = (width - 2 * MARGIN) / (MOST - LEAST);
  return (percent) => MARGIN + (Math.max(LEAST, Math.min(MOST, percent)) - LEAST) * scale;
}
