import type { EditResult, PlanView, RowEdit } from "../api/client";
import type { RowEdits } from "../api/rowEdits";
import { type Block, fillEdits, parseBlock } from "../grid/block";
import type { At } from "../grid/types";
import type { GridEditing } from "../grid/useGridEditing";
import { notify } from "../ui/notify";
import type { BoundColumn } from "./columns";
import { type Direction, moveOf } from "./outline";
import type { Row } from "./rows";

export type RowsAt = At<Row, BoundColumn>;

interface Given {
  plan: PlanView;
  at: RowsAt;
  editing: GridEditing<Row, RowEdit>;
  edits: RowEdits;
  undo: () => Promise<EditResult>;
}

const NOT_THERE: Record<Direction, string> = {
  up: "It is the first there.",
  down: "It is the last there.",
  in: "There is no branch beneath or before it to go into.",
  out: "It stands at the top level.",
};

/** What can be done to the selected rows as rows: add, remove, move, paste. */
export function rowActions({ plan, at, editing, edits: send, undo }: Given) {
  const { rows, columns, row, block, selected } = at;

  const kindOf = (id: string) => rows.find((one) => one.id === id)?.kind;
  /** Of those selected, the rows of the outline: money stands where what it is on stands. */
  const outlined = () => selected().filter((id) => kindOf(id) === "branch" || kindOf(id) === "activity");

  const goTo = (result: EditResult | undefined, known: ReadonlySet<string>) => {
    const fresh = result?.order?.find((id) => !known.has(id));
    if (fresh) at.select(fresh, "name");
  };

  const add = async () => {
    const known = new Set(plan.activities.map((activity) => activity.id));
    const edit: RowEdit = { id: "", add: true, after: row?.id ?? plan.branches.at(-1)?.id };
    goTo(await editing.attempt(() => send.rows([edit])), known);
  };

  const addBranch = async () => {
    const branch = row?.kind === "activity" ? row.activity.wbs : row?.id;
    const known = new Set(plan.branches.map((one) => one.id));
    const result = await editing.attempt(() =>
      send.branches([{ id: "", add: true, after: branch, name: "New branch" }]),
    );
    const fresh = result?.branches.find((one) => !known.has(one.id));
    if (fresh) at.select(fresh.id, "name");
  };

  const remove = async () => {
    // A resource at work goes by emptying its cell.
    const gone = selected().filter((id) => kindOf(id) !== "work");
    if (gone.length === 0) return;
    const last = rows.findIndex((one) => one.id === gone.at(-1));
    const next = rows[last + 1] ?? rows[rows.findIndex((one) => one.id === gone[0]) - 1];
    const result = await editing.attempt(() => send.remove(gone));
    if (!result) return;
    if (next) at.select(next.id);
    if (result.gone.length === 0)
      notify(
        gone.length === 1 ? `${gone[0]} is removed.` : `${gone.length} rows are removed.`,
        ...(between(plan, gone)
          ? [{ label: "Join before to after", key: "j", run: () => void joined(gone) }]
          : []),
        { label: "Take back", run: () => void editing.attempt(() => undo()) },
      );
  };

  /** Removed again, with links from what came before them to what came after. */
  const joined = (gone: string[]) =>
    editing.attempt(async () => {
      await undo();
      return send.remove(gone, true);
    });

  const move = async (direction: Direction) => {
    const moving = outlined();
    const to = moveOf(plan, moving, direction);
    if (to) await editing.attempt(() => send.move(to));
    else if (moving.length > 0) notify(NOT_THERE[direction]);
  };

  /** Fills the cells from the active one on; lines beyond the last row, or pasted on a branch, become new activities. */
  const paste = async (text: string) => {
    if (!block || !row) return;
    const lines = parseBlock(text);
    const { onto, beyond } =
      row.kind === "branch" ? { onto: [], beyond: lines } : laid(rows, columns, block, lines);
    const target = {
      top: 0,
      bottom: onto.length - 1,
      left: block.left,
      right: block.left + Math.max(...lines.map((line) => line.length)) - 1,
    };
    const targets = onto.map((one) => one.row);
    const edits = fillEdits(targets, columns, target, (r, c) => onto[r]?.line[c]);
    if ("refusal" in edits) return void (await editing.sendBlock(edits));
    const added = newRows(beyond, block.left, row.kind === "branch" ? row.id : targets.at(-1)?.id);
    if ("refusal" in added) return void (await editing.sendBlock(added));
    const all = edits.concat(added);
    if ((await editing.sendBlock(all)) && all.length > 1)
      notify(
        `${all.length} rows are pasted${added.length > 0 ? `, ${added.length} of them new` : ""}. Ctrl Z takes them back.`,
      );
  };

  const newRows = (lines: string[][], left: number, after: string | undefined) => {
    const edits: RowEdit[] = [];
    for (const line of lines) {
      let edit: RowEdit = { id: "", add: true, after: edits.length === 0 ? after : undefined };
      for (const [c, text] of line.entries()) {
        const typed = columns[left + c]?.editNew?.(text.trim());
        if (typed && "refusal" in typed) return typed;
        if (typed) edit = { ...edit, ...typed };
      }
      edits.push(edit);
    }
    return edits;
  };

  return { add, addBranch, remove, move, paste };
}

export type RowActions = ReturnType<typeof rowActions>;

/** Whether rows have something before them and something after them, which nothing joins once they are gone. */
function between(plan: PlanView, gone: readonly string[]): boolean {
  const branches = new Set(gone);
  const rows = new Set(
    plan.activities.filter((one) => branches.has(one.id) || branches.has(one.wbs)).map((one) => one.id),
  );
  return (
    plan.links.some((link) => rows.has(link.to) && !rows.has(link.from)) &&
    plan.links.some((link) => rows.has(link.from) && !rows.has(link.to))
  );
}

/** Which line falls on which row: a branch takes one only where that is blank or its own. */
function laid(rows: Row[], columns: BoundColumn[], block: Block, lines: string[][]) {
  const onto: { row: Row; line: string[] }[] = [];
  let next = 0;
  for (const row of rows.slice(block.top)) {
    const line = lines[next];
    if (!line) break;
    const own = line.every((text, c) => {
      const column = columns[block.left + c];
      return text.trim() === "" || (column && text === column.text(row));
    });
    if (row.kind === "branch" && !own) continue;
    onto.push({ row, line });
    next++;
  }
  return { onto, beyond: lines.slice(next) };
}
