import { Box, Flex } from "@chakra-ui/react";
import { useCallback, useMemo, useState } from "react";
import type { PlanView } from "../../shared/api/client";
import { useSpans } from "../../shared/api/runs";
import type { Zoom } from "../../shared/charts/timeScale";
import { FindBar } from "../../shared/grid/FindBar";
import { filtersOf, sieveOf } from "../../shared/planGrid/filters";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { type PlanDrawing, PlanGrid } from "../../shared/planGrid/PlanGrid";
import type { Row } from "../../shared/planGrid/rows";
import { Choice } from "../../shared/ui/Choice";
import { Notice } from "../../shared/ui/Notice";
import { useSimulated, useTimeline, ZOOMS } from "../../shared/timeline/useTimeline";
import { closedBelow, depthOf, LevelChoice } from "./LevelChoice";
import { spanColumns, spanSentence } from "./spanColumns";

interface Props {
  plan: PlanView;
  run: string;
  /** Whether it is of the plan as it is. */
  current: boolean;
}

/** The plan as it may turn out: planned rails over simulated mist, for all rows or down to a level of the work breakdown. */
export function AsItMayTurnOut({ plan, run, current }: Props) {
  const project = plan.project.id;
  const [zoom, setZoom] = useState<Zoom>("whole");
  const [hovered, setHovered] = useState<string>();
  const spans = useSpans(run);
  const active = useGridStore((state) => viewOf(state, project).active?.row);
  const search = useGridStore((state) => viewOf(state, project).search);
  const sieve = useMemo(() => sieveOf(plan, search), [plan, search]);
  const simulated = useSimulated(spans.data, !current || spans.isPlaceholderData);
  const columns = useMemo(() => spanColumns(simulated), [simulated]);
  const timeline = useTimeline(plan, spans.data, simulated, zoom);
  const plain = timeline.drawing.row;
  const row = useCallback(
    (one: Row, width: number) => (
      <Box onMouseEnter={() => setHovered(one.id)} data-mist={one.id}>
        {plain(one, width)}
      </Box>
    ),
    [plain],
  );
  const drawing: PlanDrawing = { ...timeline.drawing, row };
  if (spans.isError) return <Notice alert>{spans.error.message}</Notice>;
  if (!spans.data) return <Notice>Reading the odds…</Notice>;
  const looked = hovered ?? active;
  return (
    <Flex direction="column" height="100%">
      <Flex px="5" py="2" gap="5" align="center" minH="58px">
        <Box flex="1" minW="0" lineHeight="1.35" role="status" data-testid="span">
          {(looked && spanSentence(plan, simulated, looked)) ??
            "Thin rails are the plan, mist is when simulated work is under way: the denser, the more futures are at it. Point at a row for its dates and their ranges."}
        </Box>
        <LevelChoice
          depth={depthOf(plan)}
          onChoose={(level) => useGridStore.getState().setClosed(project, closedBelow(plan, level))}
        />
        <FindBar grid={project} filters={filtersOf(plan)} />
        <Choice label="Zoom" choices={ZOOMS} value={zoom} onChange={setZoom} />
      </Flex>
      <Box flex="1" minH="0" onMouseLeave={() => setHovered(undefined)}>
        <PlanGrid
          plan={plan}
          label="The plan as it may turn out"
          columns={columns}
          drawing={drawing}
          sieve={sieve}
        />
      </Box>
    </Flex>
  );
}
