import type { RiskEdit, RiskView } from "../../shared/api/client";
import { type Block, fillEdits } from "../../shared/grid/block";
import { nextCode, type RegisterRow } from "./register";
import type { RegisterColumn } from "./registerColumns";

/** The edits that pasted lines come to. */
export function pasted(
  lines: string[][],
  rows: RegisterRow[],
  columns: RegisterColumn[],
  block: Block,
  risks: readonly RiskView[],
): RiskEdit[] | { refusal: string } {
  const there = rows.slice(block.top).filter((row) => row.risk);
  const onto = there.slice(0, lines.length);
  const right = block.left + Math.max(...lines.map((line) => line.length)) - 1;
  const edits = fillEdits(
    onto,
    columns,
    { top: 0, bottom: onto.length - 1, left: block.left, right },
    (r, c) => lines[r]?.[c],
  );
  if ("refusal" in edits) return edits;
  const taken = [...risks];
  for (const line of lines.slice(onto.length)) {
    const id = nextCode(taken);
    const edit: RiskEdit = { id, add: true };
    line.forEach((text, c) => {
      const field = columns[block.left + c]?.field;
      if (field && text.trim() !== "") Object.assign(edit, { [field]: text.trim() });
    });
    taken.push({ id: edit.id } as RiskView);
    edits.push(edit);
  }
  return edits;
}
