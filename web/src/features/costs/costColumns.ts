import type { CostView, GradeView, PlanView } from "../../shared/api/client";
import { editedNumber, formatChance, formatOne } from "../../shared/format/numbers";
import { crewsOf } from "../../shared/planGrid/crews";
import { type CellEdit, codeColumn, nameColumn, type PlanColumn } from "../../shared/planGrid/columns";
import type { Row } from "../../shared/planGrid/rows";
import { shapeLabel } from "../../shared/range/estimates";
import { categoriesOf, type Money } from "./money";
import { cellMoney } from "./MoneyDrawing";

/** The fields of a line's money as edits name them. */
type Field = "amount" | "due" | "perDay" | "paid" | "category" | "spent" | "toGo" | "on";

/** Text is understood where it is kept, so that files and cells are read alike. */
const costCell = (field: Field, start: (cost: CostView) => string): CellEdit<CostView> => ({
  start,
  typed: (cost, text) => ({ edit: { id: cost.id, cost: { [field]: text.trim() } }, after: cost }),
});

const emptied = (field: Field, start: (cost: CostView) => string): CellEdit<CostView> => ({
  ...costCell(field, start),
  cleared: (cost) => ({ edit: { id: cost.id, cost: { [field]: "" } }, after: cost }),
});

const cents = (value: number | undefined) =>
  value === undefined ? undefined : Math.round(value * 100) / 100;

const number = (value: number | undefined) => (value === undefined ? "" : editedNumber(value));

/** How uncertain a line is, in few words: its grade, or its shape and ends in percent of planned. */
export function rangeText(cost: CostView, grades: readonly GradeView[]): string {
  const { range } = cost;
  const grade = cost.estimate ? undefined : (cost.grade ?? cost.inherited);
  if (grade) return grades.find((one) => one.id === grade)?.name ?? grade;
  if (range.density.length === 0 || range.planned === 0) return "certain";
  const percent = (value: number) => {
    const change = Math.round((100 * value) / range.planned - 100);
    return `${change < 0 ? "−" : "+"}${Math.abs(change)}`;
  };
  return `${percent(range.low)} … ${percent(range.high)} % ${shapeLabel(range.shape).toLowerCase()}`;
}

interface Given {
  plan: PlanView;
  money: ReadonlyMap<string, Money>;
  level: number;
  /** Columns that give way to a panel. */
  narrow: boolean;
}

export function costColumns({ plan, money, level, narrow }: Given): PlanColumn[] {
  const of = (row: Row) => money.get(row.id);
  /** Of a line that is paid by the day, the share that its amount is of the whole. */
  const shareDue = (cost: CostView) => {
    const planned = money.get(cost.id)?.planned;
    return cost.perDay === undefined || !planned ? cost.fixedShare : cost.amount / planned;
  };
  const line = (row: Row) => (row.kind === "cost" ? row.cost : undefined);
  const simulated = (
    id: string,
    title: string,
    hint: string,
    read: (one: Money) => number | undefined,
  ): PlanColumn => ({
    id,
    title,
    hint,
    width: 56,
    align: "right",
    text: (row) => cellMoney(of(row) && read(of(row) as Money)),
  });
  const isUnderWay =
    plan.project.dataDate !== undefined || plan.costs.some((cost) => cost.spent !== undefined);
  const categories = categoriesOf(plan);
  const crews = crewsOf(plan);
  const all: PlanColumn[] = [
    codeColumn,
    { ...nameColumn(260), title: "Activity, cost, crew" },
    {
      id: "planned",
      title: "Planned",
      word: "planned cost",
      hint: "What it costs as planned now. Type an amount as 84,000, 84k or 1.2m.",
      width: 66,
      align: "right",
      text: (row) => cellMoney(of(row)?.planned),
      editCost: costCell("amount", (cost) =>
        number(cost.perDay === undefined ? cost.amount : cents(money.get(cost.id)?.planned)),
      ),
    },
    {
      id: "due",
      title: "Due anyway",
      word: "due anyway",
      hint: "The share of the amount that is due however long it takes; the rest grows with time.",
      width: 78,
      align: "right",
      text: (row) => {
        const cost = line(row);
        return cost ? formatChance(shareDue(cost)) : "";
      },
      editCost: costCell("due", (cost) => editedNumber(Math.round(shareDue(cost) * 10000) / 100)),
    },
    {
      id: "perDay",
      title: "Per day",
      word: "day rate",
      hint: "What the part that grows with time comes to a working day. Typing a rate changes the amount; what is due anyway stays.",
      width: 60,
      align: "right",
      text: (row) => (row.kind === "cost" || row.kind === "work" ? cellMoney(of(row)?.perDay) : ""),
      editCost: costCell("perDay", (cost) =>
        number(Math.round((money.get(cost.id)?.perDay ?? 0) * 100) / 100),
      ),
    },
    {
      id: "paid",
      title: "Paid",
      word: "instalment",
      hint: "evenly, start, finish, or instalments such as 30 % on 2027-05-01; 70 % at E80",
      width: narrow ? 60 : 84,
      text: (row) => (row.kind === "work" ? "as worked" : (line(row)?.paid ?? "")),
      editCost: costCell("paid", (cost) => cost.paid),
    },
    {
      id: "range",
      title: "Range",
      word: "shape",
      hint: "How uncertain the amount is; the sheet (Alt Enter) changes it, as Ranges does.",
      width: 118,
      soft: true,
      text: (row) => {
        const cost = line(row);
        return cost ? rangeText(cost, plan.grades) : "";
      },
    },
    simulated("p50", "P50", "In half of all futures it costs no more", (one) => one.simulated?.p50),
    simulated(
      "at",
      `P${formatOne(level).replace(/[.,]0$/, "")}`,
      "At the project's level of confidence",
      (one) => one.simulated?.at,
    ),
    {
      id: "spent",
      title: "Spent",
      word: "spent",
      hint: "Paid up to the data date; certain from then on.",
      width: isUnderWay ? 58 : 52,
      align: "right",
      text: (row) => cellMoney(of(row)?.spent),
      editCost: emptied("spent", (cost) => number(cost.spent)),
    },
    ...(isUnderWay
      ? [
          {
            id: "toGo",
            title: "To go",
            word: "to go",
            hint: "Still to be paid as planned now; unless it is typed, what of the planned amount is not spent.",
            width: 58,
            align: "right" as const,
            text: (row: Row) => cellMoney(of(row)?.toGo),
            editCost: emptied("toGo", (cost) => number(cost.toGo)),
          },
        ]
      : []),
    {
      id: "crew",
      title: "Crew",
      word: "assignment",
      hint: "Resources at work on the activity, such as crew 0.5; optics 2. Emptied, nobody is.",
      width: 92,
      text: (row) =>
        row.kind === "work"
          ? editedNumber(row.work.units)
          : row.kind === "activity"
            ? (crews.get(row.id) ?? "")
            : "",
      edit: {
        start: (activity) => (activity.kind === "milestone" ? undefined : (crews.get(activity.id) ?? "")),
        typed: (activity, text) => ({ edit: { id: activity.id, crew: text.trim() }, after: activity }),
        cleared: (activity) => ({ edit: { id: activity.id, crew: "" }, after: activity }),
        complete: (text) =>
          plan.resources
            .filter((one) => `${one.id} ${one.name}`.toLowerCase().includes(lastPart(text)))
            .map((one) => ({ value: one.id, label: `${one.id}, ${one.name}` })),
      },
    },
    {
      id: "category",
      title: "Category",
      word: "cost category",
      hint: "Where it belongs in the project's own cost breakdown; levels are parted by a slash, as in Optics/Mirror.",
      width: 96,
      text: (row) =>
        row.kind === "work"
          ? (plan.resources.find((one) => one.id === row.work.resource)?.category ?? "")
          : (line(row)?.category ?? ""),
      editCost: {
        ...emptied("category", (cost) => cost.category),
        complete: (text) =>
          categories
            .filter((one) => one.toLowerCase().includes(text.trim().toLowerCase()))
            .map((one) => ({ value: one, label: one })),
      },
    },
    simulated("mean", "Mean", "On average over all futures", (one) => one.simulated?.mean),
  ];
  return narrow ? all.filter((column) => !GIVES_WAY.has(column.id)) : all;
}

const GIVES_WAY = new Set(["category", "crew", "mean", "p50", "range"]);

const lastPart = (text: string) => (text.split(";").at(-1) ?? "").trim().toLowerCase();
