import { Box, Flex } from "@chakra-ui/react";
import { useMemo, useRef, useState } from "react";
import type { CriticalityRow, CriticalityView as Criticalities } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useSpans } from "../../shared/api/runs";
import { editedNumber, formatChance, formatWhole, parseNumber } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import { PlanGrid } from "../../shared/planGrid/PlanGrid";
import { shareOfFutures } from "../../shared/odds/sentences";
import { useSimulated, useTimeline } from "../../shared/timeline/useTimeline";
import { Choice } from "../../shared/ui/Choice";
import { fading } from "../../shared/ui/fading";
import { TextField } from "../../shared/ui/Field";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { Notice } from "../../shared/ui/Notice";
import { Word } from "../../shared/words/Word";
import {
  type Filter,
  FILTERS,
  listColumns,
  ORDERS,
  type Order,
  planColumnsOf,
  ranked,
  SHARES,
} from "./criticality";
import { capital } from "./goal";
import type { ViewProps } from "./MovesView";
import { RowsPicture, SHARE_TICKS, shareX } from "./RowsPicture";
import { useThings } from "./toThing";
import { useCriticality } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

/** How often each activity drove, how near it came, and what that is worth: along the plan, or ranked. */
export function CriticalityView({ plan, run, goal, look }: ViewProps) {
  const rows = useCriticality(run, goal.subject.of, look.near);
  const [arranged, setArranged] = useState<"ranked" | "plan">("ranked");
  const [order, setOrder] = useState<Order>("share");
  const [filter, setFilter] = useState<Filter>("");
  const chart = useRef<HTMLDivElement>(null);
  const things = useThings(plan);
  const list = useMemo(() => ranked(rows.data?.rows ?? [], order, filter), [rows.data, order, filter]);
  const columns = useMemo(() => listColumns(rows.data), [rows.data]);
  if (rows.isError) return <Notice alert>{refusalOf(rows.error)}</Notice>;
  if (!rows.data) return <Notice>Tracing what drove in every future, and how much float was left…</Notice>;
  const view = rows.data;
  const target = plan.activities.find(({ id }) => id === view.towards);
  const end = target ? `“${target.name}”` : "the finish";
  const title = sentence(view, end);
  const called = surprises(view.rows);
  return (
    <Flex direction="column" height="100%" pt="3" {...fading(view.run !== run)}>
      <ViewHeading
        px="5"
        name={`criticality towards ${target?.name ?? "the finish"}`}
        title={title}
        chart={chart}
        table={() => table(list)}
        letter={`${title} ${called}`}
      >
        {called}{" "}
        {called && (
          <>
            Where several paths meet, the latest counts, so a plan that follows one of them alone is too
            early: <Word id="merge bias">merge bias</Word>.
          </>
        )}{" "}
        Float is of the first {formatWhole(view.floatFutures)} futures.
      </ViewHeading>
      <Flex px="5" py="1.5" gap="4" align="center" color="softInk">
        <Choice
          label="Arranged"
          choices={[
            { value: "ranked", label: "Ranked" },
            { value: "plan", label: "Along the plan" },
          ]}
          value={arranged}
          onChange={setArranged}
        />
        {arranged === "ranked" && (
          <>
            <LabelledSelect
              label="Ordered by"
              before="ordered by"
              value={order}
              choices={ORDERS}
              onPick={setOrder}
            />
            <LabelledSelect label="Show" before="show" value={filter} choices={FILTERS} onPick={setFilter} />
          </>
        )}
        <Box width="215px" mb="-2">
          <TextField
            label="Near: days of float"
            name="near"
            value={editedNumber(look.near)}
            onHandIn={(text) => {
              const days = parseNumber(text.replace(/\s*d(ays?)?\s*$/i, ""));
              if (days === undefined || days < 0) return `Days of float are needed, not “${text}”.`;
              look.set({ near: days });
              return undefined;
            }}
          />
        </Box>
      </Flex>
      <Box flex="1" minH="0">
        {arranged === "ranked" ? (
          <Grid
            state={`criticality ${plan.project.id}`}
            label="Criticality"
            rows={list}
            columns={columns}
            drawing={SHARES}
            keys={(event, { row }) => {
              if (!event.altKey || event.key !== "Enter" || !row) return false;
              things.ofActivity(row.id)[0]?.go();
              return true;
            }}
          />
        ) : (
          <AlongThePlan plan={plan} run={run} view={view} />
        )}
      </Box>
      <RowsPicture
        ref={chart}
        rows={list.slice(0, PICTURED).map((row) => ({ ...row, code: row.id, text: formatChance(row.share) }))}
        ticks={SHARE_TICKS}
        draw={(row, y) => (
          <g>
            <rect
              x={shareX(0)}
              width={shareX(Math.max(row.near ?? 0, row.share)) - shareX(0)}
              y={y - 4}
              height="8"
              fill="var(--chakra-colors-simulated-soft)"
            />
            <rect
              x={shareX(0)}
              width={shareX(row.share) - shareX(0)}
              y={y - 3}
              height="6"
              fill="var(--chakra-colors-simulated)"
            />
          </g>
        )}
      />
    </Flex>
  );
}

const PICTURED = 30;

/** The same beside the plan's own rows and their timeline. */
function AlongThePlan({ plan, run, view }: { plan: ViewProps["plan"]; run: string; view: Criticalities }) {
  const spans = useSpans(run);
  const simulated = useSimulated(spans.data, spans.isPlaceholderData);
  const timeline = useTimeline(plan, spans.data, simulated, "whole");
  const columns = useMemo(() => planColumnsOf(view), [view]);
  const lit = useMemo(
    () => new Set(view.rows.filter(({ share }) => share >= OFTEN).map(({ id }) => id)),
    [view],
  );
  return (
    <PlanGrid
      plan={plan}
      label="Criticality along the plan"
      columns={columns}
      drawing={timeline.drawing}
      lit={lit}
    />
  );
}

const OFTEN = 0.5;
const SELDOM = 0.2;

function sentence({ rows }: Criticalities, end: string): string {
  const often = rows.filter(({ share }) => share >= OFTEN).length;
  const never = rows.filter(({ share }) => share === 0).length;
  return `${formatWhole(often)} ${often === 1 ? "activity drives" : "activities drive"} ${end} in at least half of all futures; ${formatWhole(never)} never do.`;
}

/** What the plan's longest path has that futures seldom have, and the reverse. */
function surprises(rows: readonly CriticalityRow[]): string {
  const work = rows.filter(({ meanDays }) => meanDays > 0);
  const seldom = work.filter(({ planned, share }) => planned && share < SELDOM);
  const often = work
    .filter(({ planned, share }) => !planned && share >= SELDOM)
    .sort((a, b) => b.share - a.share);
  const said = [];
  if (seldom[0])
    said.push(
      `${seldom.length === 1 ? seldom[0].name : `${formatWhole(seldom.length)} activities`} on the plan's longest path drive${seldom.length === 1 ? "s" : ""} in fewer than ${SELDOM * 100} of 100 futures.`,
    );
  if (often[0])
    said.push(
      `${often.length === 1 ? "One activity" : `${formatWhole(often.length)} activities`} off the plan's longest path drive${often.length === 1 ? "s" : ""} often: ${often[0].name} in ${shareOfFutures(often[0].share).toLowerCase()}.`,
    );
  return capital(said.join(" "));
}

const table = (rows: readonly CriticalityRow[]) => ({
  columns: [
    "Code",
    "Activity",
    "Criticality",
    "Cruciality",
    "Sensitivity index",
    "On the plan's longest path",
    "Mean float, days",
    "Least float, days",
    "Nearly critical",
    "Mean days",
    "± sd days",
  ],
  rows: rows.map((row) => [
    row.id,
    row.name,
    row.share,
    row.cruciality,
    row.index,
    row.planned ? "yes" : "no",
    row.meanFloat ?? null,
    row.leastFloat ?? null,
    row.near ?? null,
    row.meanDays,
    row.sdDays,
  ]),
});
