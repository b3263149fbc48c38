import { Box } from "@chakra-ui/react";
import { useRef } from "react";
import type { CauseSum } from "../../shared/api/client";
import { formatMoney } from "../../shared/format/numbers";
import { useWidth } from "../../shared/ui/useSize";

export type CauseId = "planned" | "ranges" | "delay" | "risks" | "actions";

/** What each cause is called and drawn in. */
export const CAUSES: Record<CauseId, { label: string; colour: string; opacity: number }> = {
  planned: { label: "Planned", colour: "plan", opacity: 0.75 },
  ranges: { label: "Ranges of amounts", colour: "action", opacity: 0.7 },
  delay: { label: "Delay", colour: "simulated", opacity: 0.75 },
  risks: { label: "Risks on money", colour: "risk", opacity: 0.75 },
  actions: { label: "Actions", colour: "soft-ink", opacity: 0.6 },
};

/** A sum apart by cause, in the order in which they are added up. */
export const causesOf = (sum: CauseSum): { id: CauseId; amount: number }[] =>
  (["planned", "ranges", "delay", "risks", "actions"] as const).map((id) => ({ id, amount: sum[id] }));

const LABEL = 250;
const VALUE = 74;
const ROW = 34;
const TOP = 30;

interface Props {
  /** The whole first. */
  rows: readonly CauseSum[];
  currency: string;
  level: string;
  nameOf: (group: string, whole: boolean) => string;
}

/** Rows of money, each from nothing to its level, apart by cause; what saves is drawn back under the bar. */
export function CauseBars({ rows, currency, level, nameOf }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const most = Math.max(
    1,
    ...rows.map((row) => causesOf(row).reduce((sum, one) => sum + Math.max(0, one.amount), 0)),
  );
  const x = (amount: number) => LABEL + (amount / most) * Math.max(0, width - LABEL - VALUE - 8);
  return (
    <Box ref={frame} width="100%">
      {width > 0 && (
        <svg
          width={width}
          height={TOP + ROW * rows.length}
          fontSize="13"
          role="img"
          aria-label="Money by cause"
        >
          <g fontSize="12">
            {Object.entries(CAUSES).map(([id, { label, colour, opacity }], i) => (
              <g key={id} transform={`translate(${LABEL + i * 134} 4)`}>
                <rect width="10" height="10" fill={`var(--chakra-colors-${colour})`} fillOpacity={opacity} />
                <text x="15" y="10" fill="var(--chakra-colors-soft-ink)">
                  {label}
                </text>
              </g>
            ))}
          </g>
          {rows.map((row, i) => (
            <g key={`${i} ${row.group}`} transform={`translate(0 ${TOP + i * ROW})`} data-group={row.group}>
              <text y="17" fill="var(--chakra-colors-ink)" fontWeight={i === 0 ? 650 : 400}>
                {clipped(nameOf(row.group, i === 0))}
                <title>{nameOf(row.group, i === 0)}</title>
              </text>
              <Bar row={row} x={x} currency={currency} />
              <text
                x={width}
                y="17"
                textAnchor="end"
                fill="var(--chakra-colors-ink)"
                fontWeight={i === 0 ? 650 : 400}
              >
                {formatMoney(row.at, currency)}
                <title>{`${level} of ${nameOf(row.group, i === 0)}; on average ${formatMoney(row.mean, currency)}`}</title>
              </text>
            </g>
          ))}
        </svg>
      )}
    </Box>
  );
}

const LONGEST = 36;

const clipped = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text);

function Bar({ row, x, currency }: { row: CauseSum; x: (amount: number) => number; currency: string }) {
  const causes = causesOf(row);
  return (
    <>
      {causes.map(({ id, amount }, i) => {
        const from = causes.slice(0, i).reduce((sum, one) => sum + one.amount, 0);
        const { label, colour, opacity } = CAUSES[id];
        const saves = amount < 0;
        return (
          <rect
            key={id}
            x={Math.min(x(from), x(from + amount))}
            y={saves ? 22 : 5}
            width={Math.abs(x(from + amount) - x(from))}
            height={saves ? 4 : 16}
            fill={`var(--chakra-colors-${colour})`}
            fillOpacity={opacity}
          >
            <title>{`${label}: ${formatMoney(amount, currency)}`}</title>
          </rect>
        );
      })}
    </>
  );
}
