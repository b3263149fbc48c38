import type { FigureView, MoneyRow, MoneyRows, PlanView } from "../../shared/api/client";
import { type Row, workId } from "../../shared/planGrid/rows";

/** Money of a row: of a line or a resource at work its own, of an activity or a branch all on it and beneath it. */
export interface Money {
  planned: number;
  fixed: number;
  /** What grows with time, a working day; of lines and resources at work alone. */
  perDay?: number;
  spent: number;
  toGo: number;
  simulated?: MoneyRow;
}

const NONE: Money = { planned: 0, fixed: 0, spent: 0, toGo: 0 };

const keyOf = (figure: FigureView) => (figure.resource ? workId(figure.id, figure.resource) : figure.id);

function added(one: Money, other: Money): Money {
  return {
    planned: one.planned + other.planned,
    fixed: one.fixed + other.fixed,
    spent: one.spent + other.spent,
    toGo: one.toGo + other.toGo,
  };
}

/** The money of every row that has any, by its id; the whole project's by "project", of a category by its name after a slash. */
export function moneyOf(plan: PlanView, rows: MoneyRows | undefined): Map<string, Money> {
  const simulated = new Map(rows?.rows.map((row) => [row.key, row]));
  const lines = new Map(plan.costs.map((cost) => [cost.id, cost]));
  const branchOf = new Map(plan.activities.map((activity) => [activity.id, activity.wbs]));
  const above = new Map(plan.branches.map((branch) => [branch.id, branch.parent]));
  const categories = new Map(plan.resources.map((one) => [one.id, one.category]));
  const all = new Map<string, Money>();
  const put = (id: string, money: Money) => all.set(id, added(all.get(id) ?? NONE, money));
  for (const figure of plan.figures) {
    const line = figure.resource ? undefined : lines.get(figure.id);
    const spent = line?.spent ?? 0;
    const own = { planned: figure.planned, fixed: figure.fixed, spent, toGo: figure.planned - spent };
    all.set(keyOf(figure), { ...own, perDay: figure.perDay });
    const on = line?.on ?? figure.id;
    const isRow = on !== "project";
    if (isRow && branchOf.has(on)) put(on, own);
    for (
      let branch: string | undefined = isRow ? (branchOf.get(on) ?? on) : undefined;
      branch;
      branch = above.get(branch)
    )
      put(branch, own);
    put("project", own);
    const category = line?.category ?? (figure.resource && categories.get(figure.resource)) ?? "";
    for (const name of withAbove(category)) put(`/${name}`, own);
  }
  for (const [id, money] of all) {
    const key =
      id === "project"
        ? id
        : id.startsWith("/")
          ? `category:${id.slice(1)}`
          : lines.has(id)
            ? `line:${id}`
            : id.includes("/") && simulated.has(`work:${id}`)
              ? `work:${id}`
              : `row:${id}`;
    money.simulated = simulated.get(key);
  }
  return all;
}

/** A category and all above it, the highest first; the empty one for what has none. */
export function withAbove(category: string): string[] {
  if (category === "") return [""];
  const parts = category.split("/");
  return parts.map((_, i) => parts.slice(0, i + 1).join("/"));
}

/** Every category of the plan's money, in order; lines and resources alike. */
export function categoriesOf(plan: PlanView): string[] {
  const used = [...plan.costs, ...plan.resources].flatMap((one) =>
    one.category ? withAbove(one.category) : [],
  );
  return [...new Set(used)].sort((a, b) => a.localeCompare(b));
}

/** What a row's money is drawn on: the largest of lines and activities reaches nearly across. */
export function longest(money: ReadonlyMap<string, Money>, rows: readonly Row[]): number {
  let most = 0;
  for (const row of rows) {
    const one = row.kind === "branch" ? undefined : money.get(row.id);
    if (one) most = Math.max(most, one.planned, one.simulated?.at ?? 0);
  }
  return most;
}
