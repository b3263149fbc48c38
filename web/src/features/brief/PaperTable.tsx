import { chakra } from "@chakra-ui/react";
import type { BriefTable } from "../../shared/api/client";
import { PAPER } from "./paper";

const Table = chakra("table");
const Cell = chakra("td");
const Head = chakra("th");

/** A table of a brief. */
export function PaperTable({ table, label }: { table: BriefTable; label: string }) {
  const align = (column: number) => (table.columns[column]?.number ? "right" : "left");
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
              textAlign={align(c)}
              fontWeight="600"
              verticalAlign="bottom"
              py="1"
              pl={column.number ? "2" : "0"}
              pr={column.number ? "0" : "2"}
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
                textAlign={align(c)}
                verticalAlign="top"
                py="1"
                pl={table.columns[c]?.number ? "2" : "0"}
                pr={table.columns[c]?.number ? "0" : "2"}
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
