import { Box } from "@chakra-ui/react";
import type { PlanView } from "../api/client";
import { civil, formatDay } from "../format/dates";
import { type TimeScale, ticks } from "../charts/timeScale";

const LEAST_LABEL_ROOM = 26;
/** What the label of the target takes, with some room before it. */
const TARGET_ROOM = 124;

export function TimelineHeader({ plan, scale }: { plan: PlanView; scale: TimeScale }) {
  const { coarse, fine } = ticks(scale);
  const { targetFinish: target, dataDate } = plan.project;
  return (
    <Box position="absolute" inset="0" overflow="hidden" fontSize="12px" color="softInk">
      {coarse.map((tick, i) => {
        const left = Math.max(0, scale.x(tick.time));
        const right = i + 1 < coarse.length ? scale.x(coarse[i + 1]?.time ?? scale.end) : scale.width;
        const underTarget =
          target !== undefined && Math.abs(scale.x(civil(target)) - TARGET_ROOM / 2 - left) < TARGET_ROOM / 2;
        return right - left < LEAST_LABEL_ROOM || underTarget ? null : (
          <Box
            key={tick.time}
            position="absolute"
            top="2px"
            left={`${left + 4}px`}
            fontWeight="600"
            color="ink"
            whiteSpace="nowrap"
          >
            {tick.label}
          </Box>
        );
      })}
      {fine.map((tick, i) => {
        const left = scale.x(tick.time);
        const right = scale.x(fine[i + 1]?.time ?? scale.end);
        const room = Math.min(right, scale.width) - Math.max(0, left);
        return (
          <Box
            key={tick.time}
            position="absolute"
            bottom="0"
            left={`${left}px`}
            height="20px"
            borderLeftWidth="1px"
            borderColor="line"
            pl="1"
          >
            {room >= LEAST_LABEL_ROOM - 4 && left >= 0 ? tick.label : ""}
          </Box>
        );
      })}
      {dataDate && (
        <Box
          position="absolute"
          top="2px"
          left={`${scale.x(civil(dataDate))}px`}
          pl="1"
          bg="ground"
          fontWeight="600"
          color="ink"
          whiteSpace="nowrap"
        >
          data date {formatDay(dataDate)}
        </Box>
      )}
      {target && (
        <Box
          position="absolute"
          top="2px"
          right={`${scale.width - scale.x(civil(target))}px`}
          pr="1"
          bg="ground"
          color="planText"
          fontWeight="600"
          whiteSpace="nowrap"
        >
          target {formatDay(target)}
        </Box>
      )}
    </Box>
  );
}
