import { Box, Flex } from "@chakra-ui/react";
import { useMemo } from "react";
import type { PlanView, ResourceEdit, ResourceView } from "../../shared/api/client";
import { useCostEdits } from "../../shared/api/costs";
import { editedNumber, formatWhole } from "../../shared/format/numbers";
import { FootBar } from "../../shared/grid/FootBar";
import { Grid } from "../../shared/grid/Grid";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import type { Cell, Column, GridRow } from "../../shared/grid/types";
import { useGridEditing } from "../../shared/grid/useGridEditing";
import { Aside } from "../../shared/stage/Aside";
import { notify } from "../../shared/ui/notify";
import type { CostsLook } from "./costsStore";
import { LoadPanel } from "./LoadPanel";
import type { Money } from "./money";
import { cellMoney } from "./MoneyDrawing";

type ResourceRow = GridRow & { resource?: ResourceView; uses: number; planned: number; at?: number };

interface Props {
  plan: PlanView;
  money: ReadonlyMap<string, Money>;
  run?: string;
  look: CostsLook;
}

const FRESH = "new resource";

/** People, plant and material with their rates; the last row adds one. What is selected is shown over time beside it. */
export function ResourcesView({ plan, money, run, look }: Props) {
  const key = `resources ${plan.project.id}`;
  const edits = useCostEdits(plan.project.id);
  const editing = useGridEditing<ResourceRow, ResourceEdit>(edits.resources);
  const active = useGridStore((state) => viewOf(state, key).active?.row);
  const rows = useMemo(() => rowsOf(plan, money), [plan, money]);
  const columns = useMemo(() => columnsOf(plan.project.confidence), [plan.project.confidence]);
  const shown = plan.resources.find((one) => one.id === active) ?? plan.resources[0];
  const remove = async (ids: string[]) => {
    const gone = ids.filter((id) => plan.resources.some((one) => one.id === id));
    if (gone.length > 0 && (await editing.attempt(() => edits.removeResources(gone))))
      notify(`${gone.join(", ")} ${gone.length === 1 ? "is" : "are"} taken out. Ctrl Z brings back.`);
  };
  return (
    <Flex height="100%">
      <Box flex="1" minW="0" position="relative">
        <Grid
          state={key}
          label="Resources"
          rows={rows}
          columns={columns}
          editing={editing}
          keys={(event, at) => {
            if (!(event.ctrlKey || event.metaKey) || (event.key !== "Delete" && event.key !== "Backspace"))
              return false;
            void remove(at.selected());
            return true;
          }}
          foot={(at) => (
            <FootBar refusal={editing.refusal} onUnderstood={editing.dismiss} selected={at.selected().length}>
              <Box color="softInk" fontSize="12.5px">
                Type and press Ctrl Enter to fill all of them; Ctrl Delete takes them out.
              </Box>
            </FootBar>
          )}
        />
      </Box>
      <Aside label="Load of a resource" width={470}>
        {shown ? (
          <LoadPanel plan={plan} resource={shown} run={run} look={look} />
        ) : (
          <Box color="softInk">
            No resources yet. Type a name into the first row: a crew, a crane, a material. Then say on Lines
            who works on what, as in “crew 0.5”.
          </Box>
        )}
      </Aside>
    </Flex>
  );
}

function rowsOf(plan: PlanView, money: ReadonlyMap<string, Money>): ResourceRow[] {
  const rows: ResourceRow[] = plan.resources.map((resource) => {
    const works = plan.assignments.filter((one) => one.resource === resource.id);
    const own = works.map((one) => money.get(`${one.activity}/${resource.id}`));
    return {
      id: resource.id,
      depth: 0,
      resource,
      uses: works.length,
      planned: own.reduce((sum, one) => sum + (one?.planned ?? 0), 0),
      at: own.reduce((sum, one) => sum + (one?.simulated?.mean ?? 0), 0),
    };
  });
  return [...rows, { id: FRESH, depth: 0, soft: true, uses: 0, planned: 0 }];
}

type Field = "name" | "rate" | "per" | "limit" | "category";

const PER = [
  { value: "hour", label: "hour" },
  { value: "day", label: "day" },
  { value: "unit", label: "unit" },
];

/** A rate with those that come after it, as it is typed. */
export const rateText = (one: ResourceView) =>
  [
    editedNumber(one.rate, "en"),
    ...one.rates.map(({ from, rate }) => `${editedNumber(rate, "en")} from ${from}`),
  ].join("; ");

function fieldText(one: ResourceView, field: Field): string {
  if (field === "rate") return rateText(one);
  if (field === "limit") return one.limit === undefined ? "" : editedNumber(one.limit, "en");
  return one[field];
}

/** The last row makes a resource of what is typed into it. */
function cellOf(row: ResourceRow, field: Field): Cell<ResourceRow, ResourceEdit> | undefined {
  const { resource } = row;
  if (!resource && field !== "name") return undefined;
  const edit = (text: string): ResourceEdit =>
    resource ? { id: resource.id, [field]: text } : { id: "", add: true, [field]: text };
  return {
    start: resource ? fieldText(resource, field) : "",
    choices: field === "per" ? PER : undefined,
    typed: (text) => ({ edit: edit(text.trim()), after: row }),
    cleared: field === "limit" || field === "category" ? () => ({ edit: edit(""), after: row }) : undefined,
    passedOver: !resource,
  };
}

function columnsOf(level: number): Column<ResourceRow, ResourceEdit>[] {
  const column = (
    id: Field,
    title: string,
    width: number,
    hint: string,
    more: Partial<Column<ResourceRow, ResourceEdit>> = {},
  ): Column<ResourceRow, ResourceEdit> => ({
    id,
    title,
    width,
    hint,
    text: (row) =>
      row.resource ? fieldText(row.resource, id) : id === "name" ? "Type a name to add a resource" : "",
    cell: (row) => cellOf(row, id),
    ...more,
  });
  return [
    {
      id: "code",
      title: "Code",
      width: 84,
      kept: true,
      widens: true,
      soft: true,
      text: (row) => row.resource?.id ?? "",
    },
    column("name", "Resource", 220, "People, plant or material", {
      kept: true,
      gives: true,
      word: "resource",
    }),
    column("rate", "Rate", 170, "1,950, or with others from a day on: 1950; 2050 from 2028-01-01", {
      word: "rate",
    }),
    column("per", "Per", 56, "What the rate is paid for: an hour, a day, or a unit of quantity"),
    column("limit", "Limit", 56, "Most units at a time that there are; empty for as many as are wanted", {
      align: "right",
    }),
    column("category", "Category", 110, "Where it belongs in the project's own cost breakdown"),
    {
      id: "uses",
      title: "At work on",
      width: 74,
      align: "right",
      text: (row) => (row.resource ? formatWhole(row.uses) : ""),
    },
    { id: "planned", title: "Planned", width: 66, align: "right", text: (row) => cellMoney(row.planned) },
    {
      id: "mean",
      title: "Mean",
      hint: `On average over all futures; beside P${level} of single lines in Lines`,
      width: 60,
      align: "right",
      text: (row) => cellMoney(row.at),
    },
  ];
}
