import { chakra } from "@chakra-ui/react";
import type { BriefTable } from "../../shared/api/client";
import { PAPER } from "./paper";

const Table = chakra("table");
const Cell = chakra("td");
const Head = chakra("th");

/** A table of a brief. */
export function PaperTable({ table, label }: { table: BriefTable; label: string }) {
  /** How a cell of a column lies: numbers at the right. */
  const lies = (column: number) =>
    table.columns[column]?.number
      ? ({ textAlign: "right", py: "1", pl: "2", pr: "0" } as const)
      : ({ textAlign: "left", py: "1", pl: "0", pr: "2" } as const);
  return (
    <Table
      aria-label={label}
      width="100%"
      my="2"
      fontSize="13px"
      lineHeight="1.35"
      borderCollapse="collapse"
      fontVariantNumeric="tabular-nums"
    >
      <thead>
        <tr>
          {table.columns.map((column, c) => (
            <Head
              key={c}
              scope="col"
              {...lies(c)}
              fontWeight="600"
              verticalAlign="bottom"
              borderBottom={`1px solid ${PAPER.soft}`}
            >
              {column.name}
            </Head>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, r) => (
          <tr key={r}>
            {row.map((text, c) => (
              <Cell
                key={c}
                dir="auto"
                {...lies(c)}
                verticalAlign="top"
                borderBottom={`1px solid ${PAPER.line}`}
                overflowWrap="anywhere"
                whiteSpace={table.columns[c]?.number ? "nowrap" : "pre-wrap"}
              >
                {text}
              </Cell>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
