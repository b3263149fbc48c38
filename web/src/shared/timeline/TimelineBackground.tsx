import { chakra } from "@chakra-ui/react";
import type { PlanView } from "../api/client";
import { civil } from "../format/dates";
import { type TimeScale, ticks } from "../charts/timeScale";

const Svg = chakra("svg");

interface Props {
  plan: PlanView;
  scale: TimeScale;
  height: number;
}

/** What lies behind all rows of the timeline: the lines of the calendar, and the target. */
export function TimelineBackground({ plan, scale, height }: Props) {
  const { targetFinish: target, dataDate } = plan.project;
  return (
    <Svg width={scale.width} height={height} display="block">
      {ticks(scale).fine.map((tick) => (
        <line
          key={tick.time}
          x1={scale.x(tick.time)}
          x2={scale.x(tick.time)}
          y2={height}
          stroke="var(--chakra-colors-line)"
        />
      ))}
      {dataDate && (
        <line
          x1={scale.x(civil(dataDate))}
          x2={scale.x(civil(dataDate))}
          y2={height}
          stroke="var(--chakra-colors-ink)"
          strokeWidth="1"
        />
      )}
      {target && (
        <line
          x1={scale.x(civil(target))}
          x2={scale.x(civil(target))}
          y2={height}
          stroke="var(--chakra-colors-plan-text)"
          strokeDasharray="2 3"
          strokeWidth="1.5"
        />
      )}
    </Svg>
  );
}
