import { Box } from "@chakra-ui/react";
import { useEffect, useMemo } from "react";
import type { CorrelationView } from "../../shared/api/client";
import { editedNumber } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import { shortGrid } from "../../shared/grid/gridLook";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import type { Column, GridRow } from "../../shared/grid/types";
import { useGridEditing } from "../../shared/grid/useGridEditing";
import { withBlock } from "./correlations";

const STATE = "coefficients";
const MOST_IN_VIEW = 12;

interface Props {
  draft: CorrelationView;
  onPair: (pair: [number, number]) => void;
  onChange: (next: CorrelationView | { refusal: string }) => void;
}

type Row = GridRow & { at: number; values: readonly number[] };
type Put = { id: string; at: number; column: number; text: string };

/** The lower triangle of coefficients: typed cell by cell, or pasted as a block from any cell on. */
export function MatrixGrid({ draft, onPair, onChange }: Props) {
  const { members, matrix } = draft;
  const rows = useMemo<Row[]>(
    () => matrix.map((values, at) => ({ id: members[at] ?? "", depth: 0, at, values })),
    [matrix, members],
  );
  const columns = useMemo<Column<Row, Put>[]>(
    () => [
      { id: "member", title: "", width: 110, kept: true, gives: true, soft: true, text: (row) => row.id },
      ...members.map((member, column) => ({
        id: member,
        title: member,
        width: 62,
        kept: true,
        align: "right" as const,
        text: (row: Row) => (column > row.at ? "" : editedNumber(row.values[column] ?? 0)),
        cell: (row: Row) =>
          // The diagonal is 1, and what stands above it is the same once more.
          column >= row.at
            ? undefined
            : {
                start: editedNumber(row.values[column] ?? 0),
                typed: (text: string) => {
                  const put = withBlock(draft, row.at, column, text);
                  return "refusal" in put
                    ? put
                    : { edit: { id: row.id, at: row.at, column, text }, after: row };
                },
              },
      })),
    ],
    [members, draft],
  );
  const editing = useGridEditing<Row, Put>(async (puts) => {
    let next: CorrelationView = draft;
    for (const { at, column, text } of puts) {
      const put = withBlock(next, at, column, text);
      if ("refusal" in put) return onChange(put);
      next = put;
    }
    onChange(next);
  });
  const active = useGridStore((state) => viewOf(state, STATE).active);
  const row = members.indexOf(active?.row ?? "");
  const column = members.indexOf(active?.column ?? "");
  useEffect(() => {
    if (column >= 0 && row > column) onPair([row, column]);
  }, [row, column, onPair]);
  return (
    <Box>
      <Box height={shortGrid(rows.length, MOST_IN_VIEW)}>
        <Grid
          state={STATE}
          label="Coefficients"
          rows={rows}
          columns={columns}
          editing={editing}
          onPaste={(text, at) => {
            const to = members.indexOf(at.column?.id ?? "");
            if (at.row && to >= 0) onChange(withBlock(draft, at.row.at, to, text));
          }}
        />
      </Box>
      <Box color="softInk" fontSize="12.5px" mt="1">
        Type over a coefficient, or paste a block of any size from a spreadsheet into its first cell.
      </Box>
    </Box>
  );
}
