import type { RowEdit, EditResult, PlanView } from "../api/client";
import { notify } from "../ui/notify";
import { type Block, fillEdits, parseBlock } from "./block";
import type { Column } from "./columns";
import { type Place, useGridStore } from "./gridStore";
import { type Direction, moveOf } from "./outline";
import type { Row } from "./rows";
import type { useGridEditing } from "./useGridEditing";

interface Grid {
  plan: PlanView;
  rows: Row[];
  columns: Column[];
  active?: Place;
  block?: Block;
  picked: ReadonlySet<string>;
  editing: ReturnType<typeof useGridEditing>;
}

const NOT_THERE: Record<Direction, string> = {
  up: "It is the first there.",
  down: "It is the last there.",
  in: "There is no branch beneath or before it to go into.",
  out: "It stands at the top level.",
};

/** What can be done to the selected rows as rows: add, remove, move, paste. */
export function useRowActions(grid: Grid) {
  const { plan, rows, columns, active, block, picked, editing } = grid;
  const project = plan.project.id;
  const row = rows.find((one) => one.id === active?.row);

  /** The rows selected: those picked one by one, or those of the block. */
  const selected = () =>
    picked.size > 0
      ? rows.filter((one) => picked.has(one.id)).map((one) => one.id)
      : block
        ? rows.slice(block.top, block.bottom + 1).map((one) => one.id)
        : [];

  /** Of those selected, the rows of the outline: cost lines stand where what they are on stands. */
  const outlined = () => selected().filter((id) => rows.find((one) => one.id === id)?.kind !== "cost");

  const goTo = (result: EditResult | undefined, known: ReadonlySet<string>) => {
    const fresh = result?.order?.find((id) => !known.has(id));
    if (fresh) useGridStore.getState().select(project, { row: fresh, column: "name" });
  };

  const add = async () => {
    const known = new Set(plan.activities.map((activity) => activity.id));
    const edit: RowEdit = { id: "", add: true, after: row?.id ?? plan.branches.at(-1)?.id };
    goTo(await editing.attempt(() => editing.edits.rows([edit])), known);
  };

  const addBranch = async () => {
    const branch = row?.kind === "activity" ? row.activity.wbs : row?.id;
    const known = new Set(plan.branches.map((one) => one.id));
    const result = await editing.attempt(() =>
      editing.edits.branches([{ id: "", add: true, after: branch, name: "New branch" }]),
    );
    const fresh = result?.branches.find((one) => !known.has(one.id));
    if (fresh) useGridStore.getState().select(project, { row: fresh.id, column: "name" });
  };

  const remove = async () => {
    const gone = outlined();
    if (gone.length === 0) return;
    const last = rows.findIndex((one) => one.id === gone.at(-1));
    const next = rows[last + 1] ?? rows[rows.findIndex((one) => one.id === gone[0]) - 1];
    const result = await editing.attempt(() => editing.edits.remove(gone));
    if (!result) return;
    if (next && active) useGridStore.getState().select(project, { ...active, row: next.id });
    if (result.gone.length === 0)
      notify(
        gone.length === 1 ? `${gone[0]} is removed.` : `${gone.length} rows are removed.`,
        ...(between(plan, gone)
          ? [{ label: "Join before to after", key: "j", run: () => void joined(gone) }]
          : []),
        { label: "Take back", run: () => void editing.attempt(() => editing.edits.undo()) },
      );
  };

  /** Removed again, with links from what came before them to what came after. */
  const joined = (gone: string[]) =>
    editing.attempt(async () => {
      await editing.edits.undo();
      return editing.edits.remove(gone, true);
    });

  const move = async (direction: Direction) => {
    const moving = outlined();
    const to = moveOf(plan, moving, direction);
    if (to) await editing.attempt(() => editing.edits.move(to));
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

  return { selected, add, addBranch, remove, move, paste };
}

export type RowActions = ReturnType<typeof useRowActions>;

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
function laid(rows: Row[], columns: Column[], block: Block, lines: string[][]) {
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
