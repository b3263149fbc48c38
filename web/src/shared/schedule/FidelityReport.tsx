import { Box, chakra, Table } from "@chakra-ui/react";
import { useState } from "react";
import type { SchedulePreview } from "../api/client";
import { formatDay } from "../format/dates";
import { formatWhole } from "../format/numbers";
import { fidelitySentence } from "./scheduleSentences";

const Button = chakra("button");
const MOST = 100;

/** Where our dates differ from those in the file, and why we think so; and what was left out. */
export function FidelityReport({ preview }: { preview: SchedulePreview }) {
  const [open, setOpen] = useState(false);
  const [all, setAll] = useState(false);
  const shown = preview.differences.filter((one) => all || one.cause).slice(0, MOST);
  return (
    <Box
      as="section"
      aria-label="Dates compared with the file"
      borderTopWidth="1px"
      borderColor="line"
      pt="3"
    >
      <Box>
        {fidelitySentence(preview)}{" "}
        {preview.differenceCount > 0 && (
          <Button color="action" onClick={() => setOpen(!open)}>
            {open ? "Hide them" : "Show where and why"}
          </Button>
        )}
      </Box>
      {preview.notes.length > 0 && (
        <Box color="softInk">
          Left out:{" "}
          {preview.notes
            .slice(0, 5)
            .map((note) => `row ${note.row}: ${note.message}`)
            .join("; ")}
          {preview.notes.length > 5 && `; and ${formatWhole(preview.notes.length - 5)} more`}.
        </Box>
      )}
      {open && (
        <Box maxH="15rem" overflow="auto" mt="2">
          <Table.Root size="sm">
            <Table.Header>
              <Table.Row bg="transparent">
                <Table.ColumnHeader color="softInk">Activity</Table.ColumnHeader>
                <Table.ColumnHeader color="softInk">In the file</Table.ColumnHeader>
                <Table.ColumnHeader color="softInk">Calculated</Table.ColumnHeader>
                <Table.ColumnHeader color="softInk">Why, as far as we can tell</Table.ColumnHeader>
              </Table.Row>
            </Table.Header>
            <Table.Body>
              {shown.map((one) => (
                <Table.Row key={one.id} bg="transparent" data-difference={one.id}>
                  <Table.Cell>
                    <b>{one.id}</b> {one.name}
                  </Table.Cell>
                  <Table.Cell whiteSpace="nowrap">{formatDay(one.table)}</Table.Cell>
                  <Table.Cell whiteSpace="nowrap">
                    {formatDay(one.ours)}, {Math.abs(one.daysLater)}{" "}
                    {Math.abs(one.daysLater) === 1 ? "day" : "days"} {one.daysLater > 0 ? "later" : "earlier"}
                  </Table.Cell>
                  <Table.Cell>{one.reason}</Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
          {preview.differences.some((one) => !one.cause) && (
            <Button color="action" mt="1" onClick={() => setAll(!all)}>
              {all ? "Only where differences begin" : "Also those that follow from them"}
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}
