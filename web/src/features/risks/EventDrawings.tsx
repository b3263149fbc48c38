import type { PastLook, PastWords } from "../../shared/api/client";
import { formatDays } from "../../shared/format/numbers";
import { byYear } from "./past";

const WIDTH = 480;
const DOT = 5;
const BINS = 8;

type Events = NonNullable<PastWords["events"]>;

/** A dot for each event, year by year. */
export function EventDots({ events }: { events: Events }) {
  const years = byYear(events);
  const most = Math.max(1, ...years.map(({ count }) => count));
  const each = WIDTH / years.length;
  const floor = most * 2.4 * DOT + 4;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${floor + 18}`}
      width="100%"
      fontSize="11"
      role="img"
      aria-label="Events by year"
    >
      {years.map(({ year, count }, i) => (
        <g key={year} transform={`translate(${(i + 0.5) * each} 0)`}>
          {Array.from({ length: count }, (_, k) => (
            <circle
              key={k}
              cy={floor - DOT - 2 - k * 2.4 * DOT}
              r={DOT}
              fill="var(--chakra-colors-risk)"
              fillOpacity="0.65"
            />
          ))}
          <text y={floor + 14} textAnchor="middle" fill="var(--chakra-colors-soft-ink)">
            {`’${String(year).slice(2)}`}
          </text>
        </g>
      ))}
      <path d={`M0 ${floor}H${WIDTH}`} stroke="var(--chakra-colors-strong-line)" />
    </svg>
  );
}

interface SizesProps {
  events: Events;
  /** The shape that is laid over them. */
  size?: PastLook["sizes"][number];
}

/** What each event took, in bars, with the fitted shape over them. */
export function EventSizes({ events, size }: SizesProps) {
  const amounts = events.map(({ amount }) => amount);
  const low = Math.min(0, ...amounts, size?.from ?? 0);
  const high = Math.max(...amounts, Math.min(size?.to ?? 0, 1.5 * Math.max(...amounts)));
  const width = (Math.max(...amounts) - Math.min(...amounts)) / BINS || 1;
  const start = Math.min(...amounts);
  const counts = Array.from(
    { length: BINS },
    (_, i) =>
      amounts.filter((amount) => Math.min(BINS - 1, Math.floor((amount - start) / width)) === i).length,
  );
  const heights = (size?.density ?? []).map((one) => one * amounts.length * width);
  const most = Math.max(...counts, ...heights);
  const x = (value: number) => ((value - low) / (high - low || 1)) * WIDTH;
  const y = (count: number) => 74 - (count / most) * 66;
  const curve = heights.map((height, i) => {
    const at = (size?.from ?? 0) + (((size?.to ?? 0) - (size?.from ?? 0)) * i) / (heights.length - 1);
    return `${x(at).toFixed(1)} ${y(height).toFixed(1)}`;
  });
  return (
    <svg viewBox={`0 0 ${WIDTH} 92`} width="100%" fontSize="11" role="img" aria-label="What each event took">
      {counts.map((count, i) => (
        <rect
          key={i}
          x={x(start + i * width) + 1}
          width={Math.max(1, x(start + width) - x(start) - 2)}
          y={y(count)}
          height={74 - y(count)}
          fill="var(--chakra-colors-strong-line)"
        />
      ))}
      {curve.length > 0 && (
        <path d={`M${curve.join("L")}`} fill="none" stroke="var(--chakra-colors-risk)" strokeWidth="1.8" />
      )}
      <path d={`M0 74H${WIDTH}`} stroke="var(--chakra-colors-strong-line)" />
      {[Math.min(...amounts), Math.max(...amounts)].map((amount) => (
        <text key={amount} x={x(amount)} y="88" textAnchor="middle" fill="var(--chakra-colors-soft-ink)">
          {formatDays(amount)}
        </text>
      ))}
    </svg>
  );
}
