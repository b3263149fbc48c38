import type { RoundTick } from "./roundTicks";
import type { Plot } from "./plot";

const SOFT = "var(--chakra-colors-soft-ink)";
const STRONG_LINE = "var(--chakra-colors-strong-line)";
const LINE = "var(--chakra-colors-line)";

/** The axis at the foot: a tick and a word at each round value; words that would be cut at the ends are left out. */
export function FootAxis({ plot, ticks }: { plot: Plot; ticks: readonly RoundTick[] }) {
  return (
    <g fill={SOFT}>
      <path d={`M${plot.left} ${plot.bottom}H${plot.right}`} stroke={STRONG_LINE} />
      {ticks
        .filter(({ value }) => value >= plot.min && value <= plot.max)
        .map(({ value, label }) => (
          <g key={value}>
            <path d={`M${plot.x(value)} ${plot.bottom}v5`} stroke={STRONG_LINE} />
            <text x={plot.x(value)} y={plot.bottom + 18} textAnchor="middle">
              {label}
            </text>
          </g>
        ))}
    </g>
  );
}

/** The axis of heights with a line across at each round one, its words at the left or at the right. */
export function SideAxis({
  plot,
  ticks,
  at = "left",
}: {
  plot: Plot;
  ticks: readonly RoundTick[];
  at?: "left" | "right";
}) {
  return (
    <g fill={SOFT}>
      {ticks.map(({ value, label }) => (
        <g key={value}>
          <path d={`M${plot.left} ${plot.y(value)}H${plot.right}`} stroke={LINE} />
          <text
            x={at === "left" ? plot.left - 8 : plot.right + 8}
            y={plot.y(value) + 4}
            textAnchor={at === "left" ? "end" : "start"}
          >
            {label}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Chances from 0 to 100 percent, for heights from 0 to 1. */
export const CHANCE_TICKS: readonly RoundTick[] = [0, 20, 40, 60, 80, 100].map((percent) => ({
  value: percent / 100,
  label: `${percent} %`,
}));
