import { Box, chakra, Flex } from "@chakra-ui/react";
import { useCallback, useMemo, useRef } from "react";
import type { ScatterAxis, ScatterView as Scatter } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { ChartTable } from "../../shared/charts/ChartTable";
import { formatChance } from "../../shared/format/numbers";
import { itemsOf } from "../../shared/odds/subject";
import { fading } from "../../shared/ui/fading";
import { TextField } from "../../shared/ui/Field";
import { Notice } from "../../shared/ui/Notice";
import { Aside } from "../../shared/stage/Aside";
import { AxisChooser, type AxisItem } from "./AxisChooser";
import { outputKey } from "./goal";
import type { ViewProps } from "./MovesView";
import { axisField, conditional, drawnWords, shapeWords, typedLine } from "./scatter";
import { ScatterBox } from "./ScatterBox";
import { useDrivers, useScatter } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

const Button = chakra("button");

/** Any two quantities of the same futures against each other, with lines that are dragged or typed. */
export function ScatterView({ plan, run, goal, look, onFuture }: ViewProps) {
  const { currency } = plan.project;
  const chart = useRef<HTMLDivElement>(null);
  const drivers = useDrivers(
    run,
    goal.subject,
    { apart: look.apart, groups: look.groups, by: "", depth: 1 },
    "swing",
  );
  const strongest = drivers.data?.rows[0]?.input.key ?? "";
  const x = look.x ?? strongest;
  const y = look.y ?? outputKey(goal.subject);
  const scatter = useScatter(run, x, y, look.cuts[x], look.cuts[y]);
  const items = useMemo(() => {
    const inputs = (drivers.data?.rows ?? []).map(({ input }) => ({
      id: input.key,
      label: input.name,
      code: input.id,
      note: input.mark,
    }));
    const outputs = itemsOf(plan).flatMap((item) =>
      OUTPUTS.filter(({ what }) => what !== "cost" || plan.plannedCost !== 0).map(({ what, label }) => ({
        id: `${what}:${item.id}`,
        label: item.kind === "project" ? `${label} of the project` : `${label} of ${item.name}`,
        code: item.kind === "project" ? "" : item.id,
        note: item.kind,
      })),
    );
    return [...inputs, ...outputs];
  }, [drivers.data, plan]);
  const find = useCallback((text: string) => looked(items, text), [items]);
  if (scatter.isError || drivers.isError)
    return <Notice alert>{refusalOf(scatter.error ?? drivers.error)}</Notice>;
  if (drivers.data && strongest === "" && look.x === undefined)
    return (
      <Notice>Nothing in this plan is uncertain yet, so there is nothing to hold against its dates.</Notice>
    );
  const view = scatter.data;
  if (!view) return <Notice>Reading all futures…</Notice>;
  const cut = (key: string) => (value: number) => look.set({ cuts: { ...look.cuts, [key]: value } });
  const sentence = conditional(view, currency);
  const lines = (axis: ScatterAxis) => (
    <TextField
      label="Line at"
      name={axis === view.x ? "line-x" : "line-y"}
      value={axisField(axis, axis.line)}
      onHandIn={(text) => {
        const typed = typedLine(axis, text);
        if ("refusal" in typed) return typed.refusal;
        cut(axis.key)(typed.value);
        return undefined;
      }}
    />
  );
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="3" pt="3" pb="2">
        <ViewHeading
          testId="scatter"
          name={`${view.x.name} against ${view.y.name}`}
          title={sentence}
          chart={chart}
          table={() => ({
            columns: ["Future", view.x.name, view.y.name],
            rows: view.points.map((point) => [
              point.number,
              axisCell(view.x, point.x),
              axisCell(view.y, point.y),
            ]),
          })}
          letter={`${sentence} ${shapeWords(view, currency)}`}
        >
          Each point is a future: drag the lines, type them, or move them by the arrow keys; a click on a
          point opens that future. {drawnWords(view)}
        </ViewHeading>
        <Shares view={view} />
        <Box ref={chart} flex="1" minH="0">
          <ScatterBox
            view={view}
            currency={currency}
            onX={cut(view.x.key)}
            onY={cut(view.y.key)}
            onFuture={onFuture}
          />
        </Box>
      </Flex>
      <Aside label="How it is told" width={340}>
        <Box fontWeight="650" mb="1">
          Across
        </Box>
        <AxisChooser
          label="What is across"
          axis={view.x}
          find={find}
          onChoose={(key) => look.set({ x: key })}
        />
        {lines(view.x)}
        <Box fontWeight="650" mt="4" mb="1">
          Up
        </Box>
        <AxisChooser label="What is up" axis={view.y} find={find} onChoose={(key) => look.set({ y: key })} />
        {lines(view.y)}
        <Button
          color="action"
          cursor="pointer"
          minH="24px"
          alignSelf="flex-start"
          onClick={() => look.set({ x: view.y.key, y: view.x.key })}
        >
          Turn them round
        </Button>
        <Box mt="5" data-testid="shape">
          {shapeWords(view, currency)}
        </Box>
      </Aside>
    </Flex>
  );
}

const OUTPUTS = [
  { what: "finish", label: "Finish" },
  { what: "cost", label: "Cost" },
  { what: "duration", label: "Duration" },
  { what: "start", label: "Start" },
] as const;

/** Those whose code begins with, or whose name holds, what is typed. */
function looked(items: readonly AxisItem[], text: string): AxisItem[] {
  const typed = text.trim().toLowerCase();
  return items.filter(
    ({ code, label }) =>
      typed === "" || code.toLowerCase().startsWith(typed) || label.toLowerCase().includes(typed),
  );
}

/** A value as a cell of a table. */
const axisCell = ({ unit }: ScatterAxis, value: number) =>
  unit === "date" ? new Date(value).toISOString().slice(0, 16).replace("T", " ") : value;

/** The four shares, for those who cannot see the drawing. */
function Shares({ view }: { view: Scatter }) {
  return (
    <ChartTable
      caption="Shares of all futures"
      columns={["", "At or below its line", "Above its line"]}
      rows={[
        [`${view.y.name} above`, formatChance(view.onlyX), formatChance(view.neither)],
        [`${view.y.name} at or below`, formatChance(view.both), formatChance(view.onlyY)],
      ]}
    />
  );
}
