import { chakra } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";
import { dateTicks } from "../../shared/charts/roundTicks";
import { formatDay } from "../../shared/format/dates";
import { offsetIn, type Passage, type Reach, type River } from "./river";

const Svg = chakra("svg");
const LEFT = 24;
const RIGHT = 70;
const TOP = 40;
const FOOT = 12;
const EACH_TICK = 104;
/** A letter, about, in pixels. */
const LETTER = 6.6;
const LEAST_BAND = 1.5;
const BEND = 14;
/** Pieces of a band overlap by so much, or one would see where they meet. */
const SEAM = 0.6;

interface Props {
  river: River;
  /** The path that is looked at, by its number. */
  chosen: number;
  end: string;
  width: number;
  height: number;
  onChoose: (path: number) => void;
}

/** Driving paths as a river over the dates: a band is as wide as the share of futures in which its work drove. */
export function RiverDrawing({ river, chosen, end, width, height, onChoose }: Props) {
  const x = scaleLinear([river.from, river.to], [LEFT, width - RIGHT]);
  const room = height - TOP - FOOT;
  const unit = room / river.depth;
  const band = (path: number) => Math.max(LEAST_BAND, (river.shares.get(path) ?? 0) * unit);
  const yOf = (reach: Reach, path: number) => TOP + (reach.top + offsetIn(reach, path, river.shares)) * unit;
  const begins = new Set(river.passages.map(({ to }) => to));
  const goesOn = new Set(river.passages.map(({ from }) => from));
  /** Where bands part or meet, they leave room for the bend. */
  const pad = (reach: Reach) => Math.min(BEND, (x(reach.to) - x(reach.from)) / 3);
  const left = (reach: Reach) => x(reach.from) + (begins.has(reach) ? pad(reach) : 0);
  const right = (reach: Reach) => x(reach.to) - (goesOn.has(reach) ? pad(reach) : 0);
  const look = (path: number) => ({
    fill: path === chosen ? "var(--chakra-colors-simulated)" : "var(--chakra-colors-simulated-soft)",
    cursor: "pointer",
    onClick: () => onChoose(path),
    "data-path": path,
  });
  const paths = [...river.shares.keys()];
  // What is chosen lies over the others.
  const inOrder = [...paths.filter((path) => path !== chosen), ...paths.filter((path) => path === chosen)];
  const last = river.reaches.reduce((a, b) => (b.to > a.to ? b : a));
  return (
    <Svg width={width} height={height} fontSize="12px" role="group" aria-label="Driving paths over the dates">
      {dateTicks(river.from, river.to, Math.max(2, Math.floor(width / EACH_TICK))).map(({ value, label }) => (
        <g key={value}>
          <line
            x1={x(value)}
            x2={x(value)}
            y1={TOP - 14}
            y2={height - FOOT}
            stroke="var(--chakra-colors-line)"
          />
          <text x={x(value)} y={TOP - 20} textAnchor="middle" fill="var(--chakra-colors-soft-ink)">
            {label}
          </text>
        </g>
      ))}
      {inOrder.map((path) => (
        <g key={path}>
          {river.passages
            .filter((passage) => passage.path === path)
            .map((passage, i) => (
              <path key={i} d={passageOf(passage, x, pad, yOf, band(path))} {...look(path)} />
            ))}
          {river.reaches
            .filter((reach) => reach.paths.includes(path))
            .map((reach) => (
              <rect
                key={reach.ids[0]}
                x={left(reach) - SEAM}
                width={Math.max(1, right(reach) - left(reach)) + 2 * SEAM}
                y={yOf(reach, path)}
                height={band(path)}
                {...look(path)}
              >
                <title>{reachWords(reach)}</title>
              </rect>
            ))}
        </g>
      ))}
      <Labels river={river} x={x} unit={unit} />
      <text
        x={x(last.to) + 8}
        y={TOP + (last.top + last.share / 2) * unit + 4}
        fontWeight="650"
        fill="var(--chakra-colors-ink)"
      >
        {end}
      </text>
    </Svg>
  );
}

function passageOf(
  { path, from, to }: Passage,
  x: (time: number) => number,
  pad: (reach: Reach) => number,
  yOf: (reach: Reach, path: number) => number,
  thick: number,
): string {
  const [y1, y2] = [yOf(from, path), yOf(to, path)];
  const x2 = x(to.from) + pad(to);
  const x1 = Math.min(x(from.to) - pad(from), x2 - 1);
  const middle = (x1 + x2) / 2;
  const end = Math.max(x2, x1 + 1);
  return `M${x1} ${y1}C${middle} ${y1} ${middle} ${y2} ${end} ${y2}V${y2 + thick}C${middle} ${y2 + thick} ${middle} ${y1 + thick} ${x1} ${y1 + thick}Z`;
}

interface LabelsProps {
  river: River;
  x: (time: number) => number;
  unit: number;
}

/** Codes over the reaches that have room for them, the widest bands first. */
function Labels({ river, x, unit }: LabelsProps) {
  const taken: { left: number; right: number; top: number; bottom: number }[] = [];
  const labels = [...river.reaches]
    .sort((a, b) => b.share - a.share || b.to - b.from - (a.to - a.from))
    .flatMap((reach) => {
      const text = labelOf(reach, x(reach.to) - x(reach.from));
      if (!text) return [];
      const middle = (x(reach.from) + x(reach.to)) / 2;
      const half = (text.length * LETTER) / 2;
      const tall = reach.share * unit;
      const y = TOP + reach.top * unit + (tall > 20 ? tall / 2 + 4 : -4);
      const place = { left: middle - half, right: middle + half, top: y - 12, bottom: y + 3 };
      const free = taken.every(
        (other) =>
          place.left > other.right ||
          place.right < other.left ||
          place.top > other.bottom ||
          place.bottom < other.top,
      );
      if (!free) return [];
      taken.push(place);
      return [{ reach, text, middle, y }];
    });
  return labels.map(({ reach, text, middle, y }) => (
    <text
      key={reach.ids[0]}
      x={middle}
      y={y}
      textAnchor="middle"
      fontWeight="600"
      pointerEvents="none"
      fill="var(--chakra-colors-ink)"
      stroke="var(--chakra-colors-ground)"
      strokeWidth="3"
      strokeLinejoin="round"
      paintOrder="stroke"
    >
      {text}
    </text>
  ));
}

/** Its code and name where there is room for them, else the codes from its first to its last. */
function labelOf({ ids, names, share }: Reach, room: number): string | undefined {
  const percent = `${Math.round(share * 100)}`;
  const codes = ids.length === 1 ? `${ids[0]}` : `${ids[0]}–${ids.at(-1)}`;
  const whole = ids.length === 1 ? `${codes} ${names[0]} · ${percent}` : `${codes} · ${percent}`;
  return [whole, `${codes} · ${percent}`, codes].find((text) => text.length * LETTER < room);
}

const reachWords = ({ ids, names, share, from, to }: Reach) =>
  `Drives in ${Math.round(share * 100)} of 100 futures, about ${formatDay(from)} to ${formatDay(to)}: ${ids
    .map((id, i) => `${id} ${names[i]}`)
    .join(", ")}`;
