import { VisuallyHidden } from "@chakra-ui/react";

interface Props {
  caption: string;
  columns: readonly string[];
  rows: readonly (readonly string[])[];
}

/** What a chart draws, as a table for screen readers. */
export function ChartTable({ caption, columns, rows }: Props) {
  return (
    <VisuallyHidden>
      <table>
        <caption>{caption}</caption>
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column} scope="col">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              {row.map((cell, c) => (
                <td key={c}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </VisuallyHidden>
  );
}
