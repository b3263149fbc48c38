import type { FundingView } from "../../shared/api/client";
import { GripLine } from "../../shared/charts/GripLine";
import type { Plot } from "../../shared/charts/plot";
import { civil, DAY_MS, formatDay, toCivilText } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";

const HANDLE = 5;

interface FundingProps {
  plot: Plot;
  stair: { date: string; sum: number }[];
  funding: readonly FundingView[];
  currency: string;
  onDraw?: (funding: FundingView[]) => void;
  onRelease: () => void;
  onSteps?: (funding: FundingView[]) => void;
}

/** What is available, step by step. */
export function FundingStair({ plot, stair }: Pick<FundingProps, "plot" | "stair">) {
  if (stair.length === 0) return null;
  const d = stair
    .map(
      ({ date, sum }, i) =>
        `${i === 0 ? `M${plot.x(civil(date))} ${plot.y(0)}` : `H${plot.x(civil(date))}`}V${plot.y(sum)}`,
    )
    .join("");
  return (
    <path
      d={`${d}H${plot.right}`}
      fill="none"
      stroke="var(--chakra-colors-ink)"
      strokeWidth="1.6"
      data-testid="funding"
    />
  );
}

const ROUND = 1000;

/** A square at each step, dragged to another day and amount, or moved by keys. */
export function FundingHandles({ plot, stair, funding, currency, onDraw, onRelease, onSteps }: FundingProps) {
  if (!onDraw || !onSteps) return null;
  const sorted = [...funding].sort((a, b) => civil(a.date) - civil(b.date));
  const changed = (i: number, next: Partial<FundingView>) =>
    sorted.map((one, at) => (at === i ? { ...one, ...next } : one));
  return (
    <>
      {stair.map(({ date, sum }, i) => {
        const x = plot.x(civil(date));
        const y = plot.y(sum);
        const own = sorted[i]?.amount ?? 0;
        return (
          <GripLine
            key={i}
            label={`Funding, step ${i + 1}`}
            spoken={`${formatMoney(own, currency)} from ${formatDay(date)} on, ${formatMoney(sum, currency)} in all`}
            now={own}
            direction="up"
            from={[x - HANDLE, y - HANDLE]}
            to={[x + HANDLE, y + HANDLE]}
            onDrag={(toX, toY) => {
              const amount = Math.max(ROUND, Math.round((plot.height(toY) - (sum - own)) / ROUND) * ROUND);
              const day = toCivilText(Math.round(plot.value(toX) / DAY_MS) * DAY_MS).slice(0, 10);
              const taken = sorted.some((one, at) => at !== i && one.date === day);
              onDraw(changed(i, { amount, ...(!taken && { date: day }) }));
            }}
            onRelease={onRelease}
            onStep={(by, far) =>
              onSteps(changed(i, { amount: Math.max(ROUND, own + by * ROUND * (far ? 100 : 10)) }))
            }
          >
            <rect
              x={x - HANDLE}
              y={y - HANDLE}
              width={2 * HANDLE}
              height={2 * HANDLE}
              fill="var(--chakra-colors-panel)"
              stroke="var(--chakra-colors-ink)"
              strokeWidth="1.5"
            />
          </GripLine>
        );
      })}
    </>
  );
}
