import { Box, chakra, Flex } from "@chakra-ui/react";
import { useNavigate } from "react-router";
import type { PathsView as Paths, PathView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { ChartTable } from "../../shared/charts/ChartTable";
import { formatDay } from "../../shared/format/dates";
import { formatOne } from "../../shared/format/numbers";
import { useGridStore } from "../../shared/grid/gridStore";
import { reveal } from "../../shared/planGrid/reveal";
import { Aside } from "../../shared/stage/Aside";
import { BeyondField } from "./BeyondField";
import type { ViewProps } from "./MovesView";
import { partsSentence, pathSentence } from "./pathWords";
import { ShareByLimit } from "./ShareByLimit";
import { SharedList } from "./SharedList";
import { useThings } from "./toThing";
import { usePath } from "./useDrivers";
import { pathName, type Way } from "./ways";

const Button = chakra("button");
const MOST_SHARED = 6;

/** One path: how it does among the late futures, what makes it drive, where it parts, and the way to it. */
export function PathPanel({
  plan,
  run,
  goal,
  look,
  onFuture,
  view,
  ways,
  path,
}: ViewProps & { view: Paths; ways: readonly Way[]; path: PathView }) {
  const { id, currency } = plan.project;
  const shared = usePath(run, goal.subject.of, path.number);
  const things = useThings(plan);
  const navigate = useNavigate();
  const name = pathName(path, ways);
  const way = ways.find(({ paths: its }) => its.includes(path));
  const show = () => {
    const first = path.steps.find(({ id: step }) => step === way?.id) ?? path.steps[0];
    if (first) reveal(plan, first.id);
    useGridStore.getState().light(id, {
      title: `the path through ${name}`,
      ids: new Set(path.steps.map((step) => step.id)),
    });
    void navigate(`/projects/${id}/plan`);
  };
  const rows = (shared.data?.rows ?? []).slice(0, MOST_SHARED);
  return (
    <Aside label="The chosen path">
      <Box>
        <Box fontSize="16px" fontWeight="650" lineHeight="1.25">
          Through {name}
        </Box>
        <Box mt="1" color="softInk" data-testid="path-sentence">
          {pathSentence(path, goal.value(view.beyond))} Where it drives, it takes {formatOne(path.meanDays)}{" "}
          working days on average.
        </Box>
      </Box>
      <BeyondField goal={goal} look={look} value={view.beyond} label="Late is after" />
      <Box>
        <Box fontWeight="650" mb="1">
          What makes it drive
        </Box>
        {shared.isError && <Box role="alert">{refusalOf(shared.error)}</Box>}
        {!shared.data && !shared.isError && <Box color="softInk">Looking at every input…</Box>}
        {shared.data && rows.length === 0 && (
          <Box color="softInk">Nothing differs from the other futures by more than chance would make.</Box>
        )}
        <SharedList
          rows={rows}
          currency={currency}
          thingsOf={({ input }) => things.ofInput(input.kind, input.id)}
        />
      </Box>
      <Box>{partsSentence(path)}</Box>
      <ShareByLimit view={view} chosen={path.number} />
      <Flex gap="5">
        <Button color="action" cursor="pointer" minH="24px" onClick={show}>
          Show it on the plan
        </Button>
        <Button color="action" cursor="pointer" minH="24px" onClick={() => onFuture(path.example)}>
          Play one such future
        </Button>
      </Flex>
      <ChartTable
        caption="Work on this path"
        columns={["Code", "Name", "Starts about", "Finishes about"]}
        rows={path.steps.map((step) => [step.id, step.name, formatDay(step.start), formatDay(step.finish)])}
      />
    </Aside>
  );
}
