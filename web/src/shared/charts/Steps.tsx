import { chakra } from "@chakra-ui/react";
import { plotOf } from "./plot";
import { SideAxis } from "./axes";
import { roundTicks } from "./roundTicks";

const Svg = chakra("svg");
const MARGINS = { left: 74, right: 16, top: 26, bottom: 48 };
const PILLAR = 0.22;
const LANDING = 0.66;
const EACH_TICK = 62;
const WORD_LINE = 14;
const LETTER = 6.1;

/** A step: where it ends above the plan, and how it is drawn. */
export interface StepDrawn {
  id: string;
  name: string;
  /** Above the beginning, at its end. */
  at: number;
  change: number;
  /** What stands over it. */
  label: string;
  colour: string;
  /** Whether it is a landing from which one looks, as the plan or what is to be expected, and adds nothing. */
  whole?: boolean;
  opens: boolean;
}

interface Props {
  steps: StepDrawn[];
  /** A promise, above the beginning, with what it is. */
  target?: { at: number; label: string };
  chosen?: string;
  tick: (value: number) => string;
  width: number;
  height: number;
  onOpen: (id: string) => void;
}

/** A staircase: a landing for each step with a pillar from the landing before; whole pillars where one stands and looks. */
export function Steps({ steps, target, chosen, tick, width, height, onOpen }: Props) {
  const ends = steps.flatMap(({ at, change }) => [at, at - change]);
  const [low, high] = [Math.min(0, ...ends, target?.at ?? 0), Math.max(0, ...ends, target?.at ?? 0)];
  const air = high > low ? (high - low) * 0.05 : 1;
  const plot = plotOf(
    { min: 0, max: steps.length, low: low - (low < 0 ? air : 0), high: high + air },
    width,
    height,
    MARGINS,
  );
  const each = (plot.right - plot.left) / steps.length;
  return (
    <Svg width={width} height={height} fontSize="12.5px" role="group" aria-label="Steps from the plan">
      {steps.map(
        ({ id }, i) =>
          id === chosen && (
            <rect
              key={id}
              x={plot.left + i * each}
              width={each}
              y={plot.top - 20}
              height={height - plot.top + 20}
              fill="var(--chakra-colors-action-tint)"
              fillOpacity="0.6"
            />
          ),
      )}
      <SideAxis
        plot={plot}
        ticks={roundTicks(low, high + air, Math.max(2, height / EACH_TICK)).map((value) => ({
          value,
          label: tick(value),
        }))}
      />
      {target && (
        <g fill="var(--chakra-colors-plan-text)">
          <line
            x1={plot.left}
            x2={plot.right}
            y1={plot.y(target.at)}
            y2={plot.y(target.at)}
            stroke="var(--chakra-colors-plan)"
            strokeDasharray="3 3"
          />
          <text x={plot.left + 6} y={plot.y(target.at) - 5}>
            {target.label}
          </text>
        </g>
      )}
      {steps.map((step, i) => {
        const middle = plot.left + (i + 0.5) * each;
        const [from, to] = [plot.y(step.whole ? 0 : step.at - step.change), plot.y(step.at)];
        const half = (each * LANDING) / 2;
        const isChosen = step.id === chosen;
        const next = steps[i + 1];
        return (
          <g
            key={step.id}
            data-step={step.id}
            role={step.opens ? "button" : undefined}
            tabIndex={step.opens ? 0 : undefined}
            aria-pressed={step.opens ? isChosen : undefined}
            cursor={step.opens ? "pointer" : undefined}
            onClick={() => step.opens && onOpen(step.id)}
            onKeyDown={(event) => {
              if (!step.opens || (event.key !== "Enter" && event.key !== " ")) return;
              event.preventDefault();
              onOpen(step.id);
            }}
          >
            <rect
              x={middle - each / 2}
              width={each}
              y={plot.top - 20}
              height={height - plot.top + 20}
              fill="transparent"
            />
            <rect
              x={middle - (each * PILLAR) / 2}
              width={each * PILLAR}
              y={Math.min(from, to)}
              height={Math.abs(from - to)}
              fill={step.colour}
              opacity={step.whole ? 0.2 : 0.6}
            />
            <line
              x1={middle - half}
              x2={middle + half}
              y1={to}
              y2={to}
              stroke={step.colour}
              strokeWidth={step.whole ? 4 : 2.2}
            />
            {next && !next.whole && (
              <line
                x1={middle + half}
                x2={middle + each - half}
                y1={to}
                y2={to}
                stroke="var(--chakra-colors-strong-line)"
              />
            )}
            <text
              x={middle}
              y={Math.min(from, to) - 7}
              textAnchor="middle"
              fontWeight="650"
              fill="var(--chakra-colors-ink)"
            >
              {step.label}
            </text>
            {inLines(step.name, each).map((line, l) => (
              <text
                key={line}
                x={middle}
                y={plot.bottom + 18 + l * WORD_LINE}
                textAnchor="middle"
                fill={isChosen ? "var(--chakra-colors-action)" : "var(--chakra-colors-soft-ink)"}
              >
                {line}
              </text>
            ))}
          </g>
        );
      })}
    </Svg>
  );
}

/** Words in as many lines as they need. */
function inLines(text: string, room: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(" ")) {
    const last = lines.at(-1);
    if (last !== undefined && (last.length + word.length + 1) * LETTER < room)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
