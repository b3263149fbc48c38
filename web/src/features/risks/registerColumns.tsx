import { Box, Flex } from "@chakra-ui/react";
import { Mark } from "../../shared/charts/marks";
import { formatAmount, formatOne, formatSigned } from "../../shared/format/numbers";
import type { Column } from "../../shared/grid/types";
import { chanceWords, moneyWords, type RegisterRow, timeWords } from "./register";

const SIZE = 14;

/** The wedge of a threat or an opportunity beside its title. */
function Title({ row }: { row: RegisterRow }) {
  return (
    <Flex align="center" gap="2" minW="0">
      <svg width={SIZE} height={SIZE} role="img" aria-label={row.kind} style={{ flexShrink: 0 }}>
        <Mark
          kind={row.kind === "opportunity" ? "opportunity" : "threat"}
          x={SIZE / 2}
          y={SIZE / 2}
          hollow={row.soft}
        />
      </svg>
      <Box truncate>
        {row.title}
        {row.state !== "open" && <Box as="span" color="softInk">{` · ${row.state}`}</Box>}
      </Box>
    </Flex>
  );
}

const CATEGORY: Column<RegisterRow> = {
  id: "category",
  title: "Category",
  width: 150,
  soft: true,
  text: (row) => row.category,
};

/**
 * Columns of the register, for a level of confidence.
 *
 * @param roomy whether there is room for what can be spared
 */
export const registerColumns = (level: number, roomy: boolean): Column<RegisterRow>[] => [
  { id: "code", title: "Code", width: 56, kept: true, soft: true, text: (row) => row.id },
  {
    id: "title",
    title: "Risk",
    width: 270,
    kept: true,
    gives: true,
    text: (row) => row.title,
    render: (row) => <Title row={row} />,
  },
  { id: "chance", title: "Chance", width: 78, align: "right", text: chanceWords },
  { id: "time", title: "Time", hint: "What it does to time, and where", width: 120, text: timeWords },
  { id: "money", title: "Money", hint: "What it does to cost, and where", width: 120, text: moneyWords },
  { id: "owner", title: "Owner", width: 110, soft: true, text: (row) => row.owner },
  ...(roomy ? [CATEGORY] : []),
  {
    id: "days",
    title: "Days",
    hint: `Working days it adds to the P${level} finish; switched off, so many fewer`,
    width: 62,
    align: "right",
    kept: true,
    text: ({ moves }) => (moves ? formatSigned(moves.moved.days, formatOne) : ""),
  },
  {
    id: "cost",
    title: `P${level} cost`,
    hint: `Money it adds to the P${level} cost, what its delays cost included`,
    width: 76,
    align: "right",
    kept: true,
    text: ({ moves }) => (moves ? formatSigned(moves.moved.money, formatAmount) : ""),
  },
];
