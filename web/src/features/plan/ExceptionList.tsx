import { Box } from "@chakra-ui/react";
import { type KeyboardEvent, useMemo } from "react";
import type { ExceptionWords } from "../../shared/api/client";
import { blockUnder, fillEdits, parseBlock } from "../../shared/grid/block";
import { Grid } from "../../shared/grid/Grid";
import { shortGrid } from "../../shared/grid/gridLook";
import type { At, Column } from "../../shared/grid/types";
import { useGridEditing } from "../../shared/grid/useGridEditing";
import { Refusal } from "../../shared/ui/Refusal";
import {
  EXCEPTION_COLUMNS,
  type ExceptionPut,
  type ExceptionRow,
  emptyRow,
  exceptionRows,
  putExceptions,
} from "./exceptionColumns";

const MOST_IN_VIEW = 9;

type Here = At<ExceptionRow, Column<ExceptionRow, ExceptionPut>>;

interface Props {
  exceptions: readonly ExceptionWords[];
  onChange: (exceptions: ExceptionWords[]) => void;
}

/** The days on which other hours hold than in the ordinary week: typed, or pasted as a block from a spreadsheet. */
export function ExceptionList({ exceptions, onChange }: Props) {
  const rows = useMemo(() => exceptionRows(exceptions), [exceptions]);
  const editing = useGridEditing<ExceptionRow, ExceptionPut>((puts) =>
    Promise.resolve(onChange(putExceptions(rows, puts))),
  );
  const paste = (text: string, { block }: Here) => {
    if (!block) return;
    const lines = parseBlock(text);
    // Lines below the last row become new ones.
    const room = [...rows, ...lines.map((_, i) => emptyRow(i + 1))];
    void editing.sendBlock(
      fillEdits(room, EXCEPTION_COLUMNS, blockUnder(block, lines), (r, c) => lines[r]?.[c] || undefined),
    );
  };
  const remove = (event: KeyboardEvent, at: Here) => {
    if (!(event.ctrlKey || event.metaKey) || !["Delete", "Backspace"].includes(event.key)) return false;
    const gone = new Set(at.selected());
    onChange(
      putExceptions(
        rows.filter((row) => !gone.has(row.id)),
        [],
      ),
    );
    return true;
  };
  return (
    <Box>
      {editing.refusal && <Refusal mb="2">{editing.refusal}</Refusal>}
      <Box height={shortGrid(rows.length, MOST_IN_VIEW)}>
        <Grid
          state="exceptions"
          label="Exceptions"
          rows={rows}
          columns={EXCEPTION_COLUMNS}
          editing={editing}
          keys={remove}
          onPaste={paste}
        />
      </Box>
      <Box color="softInk" fontSize="12.5px" mt="1">
        Type into the last row, or paste days from a spreadsheet. Ctrl Delete removes rows.
      </Box>
    </Box>
  );
}
