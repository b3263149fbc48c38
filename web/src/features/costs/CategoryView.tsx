import { useMemo } from "react";
import type { MoneyRows, PlanView } from "../../shared/api/client";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { Grid } from "../../shared/grid/Grid";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import type { Row } from "../../shared/planGrid/rows";
import { categoriesOf, longest, type Money } from "./money";
import { cellMoney, moneyDrawing } from "./MoneyDrawing";

type CategoryRow = GridRow & { code: string; name: string; money?: Money; like: Row };

interface Props {
  plan: PlanView;
  money: ReadonlyMap<string, Money>;
  simulated?: MoneyRows;
}

const WITHOUT = "Without a category";

/** Money under the project's own cost breakdown: categories of any depth with their lines, and all of it at the top. */
export function CategoryView({ plan, money, simulated }: Props) {
  const key = `costs by category ${plan.project.id}`;
  const closed = useGridStore((state) => viewOf(state, key).closed);
  const level = simulated?.level ?? plan.project.confidence;
  const rows = useMemo(() => rowsOf(plan, money, closed), [plan, money, closed]);
  const drawing = useMemo((): Drawing<CategoryRow> => {
    const most = longest(
      money,
      rows.map((row) => row.like),
    );
    const drawn = moneyDrawing(money, most, plan.project.currency, level);
    return { ...drawn, row: (row, width) => drawn.row(row.like, width) };
  }, [money, rows, plan.project.currency, level]);
  const columns = useMemo(() => columnsOf(level), [level]);
  return <Grid state={key} label="Costs by category" rows={rows} columns={columns} drawing={drawing} />;
}

const columnsOf = (level: number): Column<CategoryRow>[] => {
  const sum = (
    id: string,
    title: string,
    read: (money: Money) => number | undefined,
  ): Column<CategoryRow> => ({
    id,
    title,
    width: 72,
    align: "right",
    text: (row) => cellMoney(row.money && read(row.money)),
  });
  return [
    { id: "code", title: "Code", width: 70, kept: true, widens: true, soft: true, text: (row) => row.code },
    { id: "name", title: "Category, cost", width: 300, kept: true, gives: true, text: (row) => row.name },
    sum("planned", "Planned", (one) => one.planned),
    sum("fixed", "Due anyway", (one) => one.fixed),
    sum("spent", "Spent", (one) => one.spent),
    sum("mean", "Mean", (one) => one.simulated?.mean),
    sum("p50", "P50", (one) => one.simulated?.p50),
    sum("at", `P${Math.round(level)}`, (one) => one.simulated?.at),
  ];
};

function rowsOf(
  plan: PlanView,
  money: ReadonlyMap<string, Money>,
  closed: ReadonlySet<string>,
): CategoryRow[] {
  const branch = (id: string) => ({ kind: "branch", id, depth: 0 }) as Row;
  const lines = (category: string, depth: number): CategoryRow[] => [
    ...plan.costs
      .filter((cost) => cost.category === category)
      .map((cost) => ({
        id: cost.id,
        code: cost.id,
        name: cost.name,
        depth,
        soft: true,
        money: money.get(cost.id),
        like: { kind: "cost", id: cost.id, depth, cost } as Row,
      })),
    ...plan.resources
      .filter((one) => one.category === category)
      .flatMap((one) => {
        const works = plan.assignments.filter((work) => work.resource === one.id);
        return works.map((work) => {
          const id = `${work.activity}/${one.id}`;
          return {
            id,
            code: one.id,
            name: `${one.name} on ${work.activity}`,
            depth,
            soft: true,
            money: money.get(id),
            like: { kind: "work", id, depth } as Row,
          };
        });
      }),
  ];
  const all: CategoryRow[] = [
    {
      id: "project",
      code: "",
      name: "All of it",
      depth: 0,
      strong: true,
      money: money.get("project"),
      like: branch("project"),
    },
  ];
  const hidden = (category: string) => [...closed].some((one) => category.startsWith(`${one.slice(1)}/`));
  for (const category of categoriesOf(plan)) {
    if (hidden(category)) continue;
    const id = `/${category}`;
    const depth = category.split("/").length - 1;
    const open = !closed.has(id);
    const name = category.split("/").at(-1) ?? category;
    all.push({ id, code: "", name, depth, strong: true, open, money: money.get(id), like: branch(id) });
    if (open) all.push(...lines(category, depth + 1));
  }
  const rest = lines("", 1);
  if (rest.length > 0) {
    const open = !closed.has("/");
    all.push({
      id: "/",
      code: "",
      name: WITHOUT,
      depth: 0,
      strong: true,
      open,
      money: money.get("/"),
      like: branch("/"),
    });
    if (open) all.push(...rest);
  }
  return all;
}
