import { Box, chakra, Table } from "@chakra-ui/react";
import type { UpdateRow } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { FIELDS } from "./updateSentences";

const Checkbox = chakra("input");
const MOST = 400;

interface Props {
  rows: readonly UpdateRow[];
  except: ReadonlySet<string>;
  onExcept: (except: ReadonlySet<string>) => void;
}

/** Row by row what would change, each to be taken over or left. */
export function UpdateTable({ rows, except, onExcept }: Props) {
  const toggle = (ids: string[], taken: boolean) => {
    const next = new Set(except);
    for (const id of ids) {
      if (taken) next.delete(id);
      else next.add(id);
    }
    onExcept(next);
  };
  return (
    <Box flex="1" minH="0" overflow="auto" borderTopWidth="1px" borderColor="line">
      <Table.Root size="sm" stickyHeader>
        <Table.Header>
          <Table.Row bg="ground">
            <Table.ColumnHeader width="40px">
              <Checkbox
                type="checkbox"
                aria-label="Take all rows over"
                checked={except.size === 0}
                onChange={(event) =>
                  toggle(
                    rows.map((row) => row.id),
                    event.target.checked,
                  )
                }
              />
            </Table.ColumnHeader>
            <Table.ColumnHeader color="softInk">Activity</Table.ColumnHeader>
            <Table.ColumnHeader color="softInk">What</Table.ColumnHeader>
            <Table.ColumnHeader color="softInk">In the plan, and in the file</Table.ColumnHeader>
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {rows.slice(0, MOST).map((row) => (
            <Table.Row key={row.id} bg="transparent" data-update={row.id}>
              <Table.Cell>
                <Checkbox
                  type="checkbox"
                  aria-label={`Take ${row.id} over`}
                  checked={!except.has(row.id)}
                  onChange={(event) => toggle([row.id], event.target.checked)}
                />
              </Table.Cell>
              <Table.Cell>
                <b>{row.id}</b> {row.name}
              </Table.Cell>
              <Table.Cell fontWeight="600" color={row.what === "gone" ? "risk" : "ink"}>
                {row.what}
              </Table.Cell>
              <Table.Cell>
                {row.fields.map((field) => (
                  <Box key={field.field}>
                    <Box as="span" color="softInk">
                      {FIELDS[field.field] ?? field.field}:
                    </Box>{" "}
                    {shown(field.before)} → <b>{shown(field.after)}</b>
                  </Box>
                ))}
                {row.hanging.length > 0 && <Box color="risk">With it goes {row.hanging.join(", ")}.</Box>}
              </Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
      {rows.length > MOST && (
        <Box p="2" color="softInk">
          and {formatWhole(rows.length - MOST)} more rows, which are taken over with the rest
        </Box>
      )}
    </Box>
  );
}

const shown = (text: string) => (text === "" ? "nothing" : text.replace(/T(\d{2}:\d{2})/, " $1"));
