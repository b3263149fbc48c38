import { chakra } from "@chakra-ui/react";
import { Flag, Pin } from "../charts/marks";
import { formatChance } from "../format/numbers";
import type { Axis } from "./chartAxis";
import type { Quantity } from "./quantity";

const Svg = chakra("svg");
const LABEL_ROOM = 190;

interface Props {
  quantity: Quantity;
  axis: Axis;
  width: number;
  height: number;
}

/** A pin for the plan and a flag for the target, each with its date or amount and its chance. */
export function OddsMarks({ quantity, axis, width, height }: Props) {
  const { plan, target, format } = quantity;
  const side = (x: number) => (x + LABEL_ROOM > axis.right ? -1 : 1);
  const planX = axis.x(plan.value);
  const targetX = target && axis.x(target.value);
  return (
    <Svg
      width={width}
      height={height}
      position="absolute"
      inset="0"
      pointerEvents="none"
      fontSize="12.5px"
      aria-hidden="true"
    >
      <Pin x={planX} top={axis.top - 14} bottom={axis.bottom} />
      <text
        x={planX + side(planX) * 9}
        y={axis.top - 10}
        textAnchor={side(planX) < 0 ? "end" : "start"}
        fill="var(--chakra-colors-plan-text)"
        fontWeight="600"
      >
        plan {format(plan.value)}: {formatChance(plan.chance)}
      </text>
      {target && targetX !== undefined && (
        <>
          <Flag x={targetX} top={axis.top + 8} bottom={axis.bottom} dashed />
          <text
            x={targetX + (side(targetX) > 0 ? 16 : -6)}
            y={axis.top + 18}
            textAnchor={side(targetX) < 0 ? "end" : "start"}
            fill="var(--chakra-colors-ink)"
          >
            {quantity.named ? "no later than" : quantity.name === "finish" ? "target" : "budget"}{" "}
            {format(target.value)}: {formatChance(target.chance)}
          </text>
        </>
      )}
    </Svg>
  );
}
