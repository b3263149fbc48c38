import { Box, chakra, Flex } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import {
  answer,
  type BriefAxis,
  type BriefDrawing,
  type FutureView,
  http,
  type PlanView,
} from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { notify } from "../../shared/ui/notify";
import { DrawingPicture } from "./DrawingPicture";
import { placeOf, played, timeAt } from "./future";
import { PAPER } from "./paper";

const Button = chakra("button");
const SECONDS = 6;
const INDIGO = "#2F3C86";

interface Props {
  plan: PlanView;
  run: string;
  iterations: number;
  drawing: BriefDrawing;
  axis: BriefAxis;
}

/** The plan as it may turn out, over which one future after the other is played. */
export function PlayFuture({ plan, run, iterations, drawing, axis }: Props) {
  const [future, setFuture] = useState<FutureView>();
  const [share, setShare] = useState(1);
  useEffect(() => {
    if (!future || matchMedia("(prefers-reduced-motion: reduce)").matches) return;
    const began = performance.now();
    let frame = 0;
    const tick = (now: number) => {
      const at = Math.min(1, (now - began) / (SECONDS * 1000));
      setShare(at);
      if (at < 1) frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [future]);
  const play = () => {
    const number = 1 + Math.floor(Math.random() * iterations);
    answer(http.GET("/api/runs/{run}/futures/{number}", { params: { path: { run, number } } })).then(
      setFuture,
      (error: Error) => notify(error.message),
    );
  };
  const now = timeAt(axis, share);
  const over = future !== undefined && share >= 1;
  return (
    <Box>
      <DrawingPicture drawing={drawing}>
        {future &&
          played(plan, drawing, future)
            .filter((row) => row.start < now)
            .map((row) => (
              <line
                key={row.id}
                x1={placeOf(axis, row.start)}
                x2={placeOf(axis, Math.min(now, row.finish))}
                y1={row.y}
                y2={row.y}
                stroke={INDIGO}
                strokeWidth="6"
                strokeLinecap="round"
              />
            ))}
        {future && !over && (
          <line
            x1={placeOf(axis, now)}
            x2={placeOf(axis, now)}
            y1={axis.top}
            y2={axis.bottom}
            stroke={PAPER.action}
            strokeWidth="1.5"
          />
        )}
      </DrawingPicture>
      <Flex gap="5" align="baseline" fontSize="18px" wrap="wrap">
        <Button color={PAPER.action} fontWeight="600" onClick={play}>
          {future ? "Play another future" : "Play a future"}
        </Button>
        {future && (
          <Box flex="1" role="status" data-testid="played">
            {over
              ? `Future ${future.number.toLocaleString()} of ${future.of.toLocaleString()} ends on ${formatDay(future.finish)} and costs ${formatMoney(future.cost, plan.project.currency)}. ${struck(future)}`
              : formatDay(now)}
          </Box>
        )}
      </Flex>
    </Box>
  );
}

function struck(future: FutureView): string {
  if (future.struck.length === 0) return "No risk struck.";
  return `What struck: ${future.struck.map(({ title }) => title.toLowerCase()).join("; ")}.`;
}
