import { Box, chakra, Table } from "@chakra-ui/react";
import type { SchedulePreview } from "../api/client";
import { formatWhole } from "../format/numbers";
import { MEANINGS } from "./scheduleSentences";

const Select = chakra("select");
const Input = chakra("input");

interface Props {
  preview: SchedulePreview;
  choose: (column: number, meaning: string) => void;
  /** A cell that cannot be understood, typed anew. */
  mend: (row: number, column: number, text: string) => void;
}

/** The first rows of the table as they are, under what each column is taken to say. */
export function SchedulePreviewTable({ preview, choose, mend }: Props) {
  return (
    <Box overflow="auto" minH="12rem" flex="1" borderTopWidth="1px" borderColor="line">
      <Table.Root size="sm" w="auto">
        <Table.Header>
          <Table.Row bg="transparent">
            <Table.ColumnHeader verticalAlign="bottom" color="softInk" fontWeight="400" px="2">
              Row
            </Table.ColumnHeader>
            {preview.columns.map((column, index) => (
              <Table.ColumnHeader key={index} verticalAlign="bottom" px="1">
                <Box color="softInk" fontWeight="400">
                  {column.header || "no header"}
                </Box>
                <Select
                  aria-label={`What “${column.header}” says`}
                  bg="panel"
                  borderWidth="1px"
                  borderColor="line"
                  px="1"
                  py="0.5"
                  w="100%"
                  minW="6.2rem"
                  fontWeight={column.meaning ? 650 : 400}
                  color={column.meaning ? "action" : "softInk"}
                  value={column.meaning ?? ""}
                  onChange={(event) => choose(index, event.target.value)}
                >
                  <option value="">left out</option>
                  {MEANINGS.map((meaning) => (
                    <option key={meaning.value} value={meaning.value}>
                      {meaning.label}
                    </option>
                  ))}
                </Select>
              </Table.ColumnHeader>
            ))}
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {preview.sample.map((row) => (
            <Table.Row key={row.row} bg="transparent" borderColor="line">
              <Table.Cell color="softInk" px="2" textAlign="right">
                {row.row}
              </Table.Cell>
              {row.cells.map((cell, c) => {
                const column = preview.columns[c];
                const problem = preview.problems.find(
                  (p) => p.row === row.row && p.column === column?.header,
                );
                return (
                  <Table.Cell
                    key={c}
                    px="2"
                    whiteSpace="nowrap"
                    maxW="20rem"
                    truncate
                    title={problem?.message}
                    bg={problem ? "riskTint" : undefined}
                    color={column?.meaning ? "ink" : "softInk"}
                  >
                    {problem ? (
                      <BadCell
                        key={cell}
                        label={`Row ${row.row}, ${column?.header ?? ""}`}
                        text={cell}
                        onMend={(text) => mend(row.row, c, text)}
                      />
                    ) : (
                      cell
                    )}
                  </Table.Cell>
                );
              })}
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
      {preview.rows > preview.sample.length && (
        <Box p="2" color="softInk">
          and {formatWhole(preview.rows - preview.sample.length)} more rows
        </Box>
      )}
    </Box>
  );
}

interface BadCellProps {
  label: string;
  text: string;
  onMend: (text: string) => void;
}

/** A cell that is not understood, where it is typed anew: Enter or going on hands it in, Esc takes it back. */
function BadCell({ label, text, onMend }: BadCellProps) {
  const hand = (typed: string) => typed !== text && onMend(typed);
  return (
    <Input
      aria-label={label}
      aria-invalid="true"
      defaultValue={text}
      width="100%"
      minW="5rem"
      px="1"
      bg="panel"
      borderWidth="1px"
      borderColor="risk"
      onBlur={(event) => hand(event.target.value)}
      onKeyDown={(event) => {
        if (event.key === "Enter") hand(event.currentTarget.value);
        if (event.key === "Escape") event.currentTarget.value = text;
      }}
    />
  );
}
