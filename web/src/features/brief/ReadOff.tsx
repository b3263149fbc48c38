import { Box, chakra, Flex } from "@chakra-ui/react";
import { type PointerEvent, useState } from "react";
import type { BriefAxis, BriefDrawing, PlanView } from "../../shared/api/client";
import { useBriefCurves } from "../../shared/api/briefs";
import { formatDay } from "../../shared/format/dates";
import { formatChance, formatMoney, parseNumber } from "../../shared/format/numbers";
import { DrawingPicture } from "./DrawingPicture";
import { PAPER } from "./paper";
import { chanceAt, valueAt, valueOf, xOf } from "./readOff";

const Input = chakra("input");
const Button = chakra("button");
const MINUTE_MS = 60_000;
const STEP = 0.01;

interface Props {
  plan: PlanView;
  drawing: BriefDrawing;
  axes: readonly BriefAxis[];
  /** The brief whose scenarios can be switched to; nothing where none can. */
  curves?: string;
}

/** A drawing with a reading line on each distribution: dragged, moved by arrows, or asked for by a chance. */
export function ReadOff({ plan, drawing, axes: own, curves }: Props) {
  const [switched, setSwitched] = useState("");
  const scenarios = useBriefCurves(plan.project.id, curves);
  const other = scenarios.data?.find(({ id }) => id === switched);
  const axes = own.map((axis) =>
    other ? { ...axis, quantiles: axis.what === "cost" ? other.cost : other.finish } : axis,
  );
  const [chances, setChances] = useState<number[]>(() => own.map(() => plan.project.confidence / 100));
  const set = (index: number, chance: number) =>
    setChances((now) => now.map((one, i) => (i === index ? Math.max(0, Math.min(1, chance)) : one)));
  const tell = (axis: BriefAxis, value: number) =>
    axis.what === "cost" ? formatMoney(value, plan.project.currency) : formatDay(value * MINUTE_MS);
  const drag = (index: number, axis: BriefAxis) => (event: PointerEvent<SVGElement>) => {
    const svg = event.currentTarget.ownerSVGElement;
    if (event.buttons === 0 || !svg) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const box = svg.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * drawing.width;
    set(index, chanceAt(axis, valueOf(axis, x)));
  };
  return (
    <Box>
      <DrawingPicture drawing={drawing}>
        {axes.map((axis, i) => {
          const chance = chances[i] ?? 0;
          const x = xOf(axis, valueAt(axis, chance));
          return (
            <g
              key={axis.what}
              role="slider"
              tabIndex={0}
              aria-label={`Reading line of the ${axis.what}`}
              aria-valuenow={Math.round(chance * 100)}
              aria-valuetext={`${formatChance(chance)}: ${tell(axis, valueAt(axis, chance))}`}
              style={{ cursor: "ew-resize", outline: "none" }}
              onPointerDown={drag(i, axis)}
              onPointerMove={drag(i, axis)}
              onKeyDown={(event) => {
                const by = event.key === "ArrowRight" ? STEP : event.key === "ArrowLeft" ? -STEP : 0;
                if (by === 0) return;
                event.preventDefault();
                event.stopPropagation();
                set(i, chance + by);
              }}
            >
              <rect
                x={axis.left}
                y={axis.top}
                width={axis.right - axis.left}
                height={axis.bottom - axis.top}
                fill="transparent"
              />
              {other && <Ghost axis={own[i] ?? axis} chance={chance} />}
              <line
                x1={x}
                x2={x}
                y1={axis.top - 4}
                y2={axis.bottom + 4}
                stroke={PAPER.action}
                strokeWidth="2"
              />
              <circle cx={x} cy={axis.top - 4} r="4.5" fill={PAPER.action} />
            </g>
          );
        })}
      </DrawingPicture>
      {(scenarios.data?.length ?? 0) > 0 && (
        <Flex role="group" aria-label="What if" gap="5" mb="3" fontSize="16px" wrap="wrap">
          {[{ id: "", name: "The plan as it stands" }, ...(scenarios.data ?? [])].map(({ id, name }) => (
            <Button
              key={id}
              aria-pressed={id === switched}
              color={PAPER.action}
              fontWeight={id === switched ? "650" : "400"}
              borderBottom={`2px solid ${id === switched ? PAPER.action : "transparent"}`}
              onClick={() => setSwitched(id)}
            >
              {name}
            </Button>
          ))}
        </Flex>
      )}
      <Flex gap="10" fontSize="20px" wrap="wrap">
        {axes.map((axis, i) => {
          const chance = chances[i] ?? 0;
          return (
            <Flex key={axis.what} gap="2" align="baseline">
              And for
              <Input
                key={chance}
                aria-label={`Chance of the ${axis.what}`}
                defaultValue={formatChance(chance)}
                width="5.5rem"
                textAlign="right"
                color={PAPER.action}
                fontWeight="600"
                borderBottom={`1px solid ${PAPER.action}`}
                bg="transparent"
                onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
                onBlur={(event) => {
                  const typed = parseNumber(event.target.value.replace("%", ""));
                  if (typed !== undefined) set(i, typed / 100);
                }}
              />
              <Box fontWeight="600" data-testid={`read-${axis.what}`}>
                {tell(axis, valueAt(axis, chance))}
              </Box>
              {other && (
                <Box color={PAPER.soft}>instead of {tell(axis, valueAt(own[i] ?? axis, chance))}</Box>
              )}
            </Flex>
          );
        })}
      </Flex>
    </Box>
  );
}

/** Where the reading line would stand in the plan as it stands. */
function Ghost({ axis, chance }: { axis: BriefAxis; chance: number }) {
  const x = xOf(axis, valueAt(axis, chance));
  return (
    <line
      x1={x}
      x2={x}
      y1={axis.top - 4}
      y2={axis.bottom + 4}
      stroke={PAPER.soft}
      strokeWidth="1.5"
      strokeDasharray="3 3"
    />
  );
}
