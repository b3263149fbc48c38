import { editedNumber } from "../../shared/format/numbers";
import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { CorrelationView } from "../../shared/api/client";
import { withBlock } from "./correlations";

const Input = chakra("input");
const Table = chakra("table");

interface Props {
  draft: CorrelationView;
  pair: [number, number];
  onPair: (pair: [number, number]) => void;
  onChange: (next: CorrelationView | { refusal: string }) => void;
}

/** The lower triangle of coefficients: typed cell by cell, or pasted as a block from any cell on. */
export function MatrixGrid({ draft, pair, onPair, onChange }: Props) {
  const [typed, setTyped] = useState<{ at: string; text: string }>();
  const handIn = (row: number, column: number) => {
    if (!typed) return;
    setTyped(undefined);
    onChange(withBlock(draft, row, column, typed.text));
  };
  return (
    <Box overflow="auto" maxH="44vh">
      <Table aria-label="Coefficients" fontVariantNumeric="tabular-nums">
        <tbody>
          {draft.matrix.map((values, row) => (
            <tr key={draft.members[row]}>
              <Box as="th" textAlign="left" pr="3" color="softInk" fontWeight="500" whiteSpace="nowrap">
                {draft.members[row]}
              </Box>
              {values.map((value, column) => {
                const at = `${row} ${column}`;
                if (row === column)
                  return (
                    <Box as="td" key={at} textAlign="center" color="softInk" width="58px">
                      1
                    </Box>
                  );
                return (
                  <td key={at}>
                    <Input
                      width="58px"
                      px="1.5"
                      py="0.5"
                      textAlign="right"
                      bg={pair[0] === row && pair[1] === column ? "actionTint" : "ground"}
                      borderWidth="1px"
                      borderColor="line"
                      aria-label={`${draft.members[row]} with ${draft.members[column]}`}
                      value={typed?.at === at ? typed.text : editedNumber(value)}
                      onFocus={(event) => {
                        onPair([row, column]);
                        event.target.select();
                      }}
                      onChange={(event) => setTyped({ at, text: event.target.value })}
                      onBlur={() => handIn(row, column)}
                      onKeyDown={(event) => event.key === "Enter" && handIn(row, column)}
                      onPaste={(event) => {
                        const text = event.clipboardData.getData("text/plain");
                        if (!/[\t\n]/.test(text)) return;
                        event.preventDefault();
                        onChange(withBlock(draft, row, column, text));
                      }}
                    />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td />
            {draft.members.slice(0, -1).map((member) => (
              <Box as="td" key={member} textAlign="center" color="softInk" pt="1">
                {member}
              </Box>
            ))}
          </tr>
        </tfoot>
      </Table>
      <Box color="softInk" fontSize="12.5px" mt="1">
        Paste a block of any size from a spreadsheet into its first cell.
      </Box>
    </Box>
  );
}
