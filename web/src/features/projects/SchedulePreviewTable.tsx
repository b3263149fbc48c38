import { Box, chakra, Table } from "@chakra-ui/react";
import type { SchedulePreview } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { MEANINGS } from "./scheduleSentences";

const Select = chakra("select");

interface Props {
  preview: SchedulePreview;
  choose: (column: number, meaning: string) => void;
}

/** The first rows of the table as they are, under what each column is taken to say. */
export function SchedulePreviewTable({ preview, choose }: Props) {
  return (
    <Box overflow="auto" minH="12rem" flex="1" borderTopWidth="1px" borderColor="line">
      <Table.Root size="sm" w="auto">
        <Table.Header>
          <Table.Row bg="transparent">
            {preview.columns.map((column, index) => (
              <Table.ColumnHeader key={index} verticalAlign="bottom">
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
          {preview.sample.map((row, r) => (
            <Table.Row key={r} bg="transparent" borderColor="line">
              {row.map((cell, c) => (
                <Table.Cell
                  key={c}
                  whiteSpace="nowrap"
                  maxW="22rem"
                  truncate
                  color={preview.columns[c]?.meaning ? "ink" : "softInk"}
                >
                  {cell}
                </Table.Cell>
              ))}
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
