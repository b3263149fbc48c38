import { Box, Button, Flex, Table } from "@chakra-ui/react";
import { useClash } from "../shared/api/clash";
import { formatMoment } from "../shared/format/dates";
import { WideDialog } from "../shared/ui/WideDialog";
import { fieldWord, valueWord } from "./clashWords";

/** Two have changed one field: both values beside each other, and the choice which of them stays. */
export function ClashDialog() {
  const { clashes, decide } = useClash();
  const by = [...new Set(clashes.map((clash) => clash.by ?? "another window"))].join(" and ");
  return (
    <WideDialog title="Changed by two at once" width="760px" onClose={() => decide(false)}>
      <Box flex="1">
        <Box mb="3">
          While you edited, {by} changed the same. Nothing of yours is lost: choose which of both stays.
        </Box>
        <Table.Root size="sm">
          <Table.Header>
            <Table.Row bg="transparent">
              {["", "It was", "Now it is", "You make it"].map((header) => (
                <Table.ColumnHeader key={header} color="softInk">
                  {header}
                </Table.ColumnHeader>
              ))}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {clashes.map((clash) => (
              <Table.Row
                key={`${clash.section} ${clash.key} ${clash.field}`}
                bg="transparent"
                borderColor="line"
                verticalAlign="top"
              >
                <Table.Cell>
                  <b>{clash.key}</b> {fieldWord(clash)}
                  <Box color="softInk" fontSize="12.5px">
                    {clash.by ?? "another window"}, {formatMoment(clash.at)}
                  </Box>
                </Table.Cell>
                <Table.Cell color="softInk">{valueWord(clash.was)}</Table.Cell>
                <Table.Cell fontWeight="600" data-testid="theirs">
                  {valueWord(clash.theirs)}
                </Table.Cell>
                <Table.Cell fontWeight="600" color="action" data-testid="mine">
                  {valueWord(clash.mine)}
                </Table.Cell>
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
        <Flex gap="3" mt="4">
          <Button size="sm" variant="outline" onClick={() => decide(false)}>
            Leave it as it is now
          </Button>
          <Button size="sm" bg="action" color="onAction" onClick={() => decide(true)}>
            Take mine
          </Button>
        </Flex>
      </Box>
    </WideDialog>
  );
}
