import { VisuallyHidden } from "@chakra-ui/react";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import { chanceOnCurve, type Quantity } from "./quantity";

/** What the chart draws, as a table for screen readers: each bar with its futures, and the chance of its upper end. */
export function ChartTable({ quantity }: { quantity: Quantity }) {
  const { edges, counts, curve, format, title } = quantity;
  return (
    <VisuallyHidden>
      <table>
        <caption>{title}: how many futures lie in each bar</caption>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">To</th>
            <th scope="col">Futures</th>
            <th scope="col">Chance of the end or less</th>
          </tr>
        </thead>
        <tbody>
          {counts.map((count, i) => (
            <tr key={i}>
              <td>{format(edges[i] ?? 0)}</td>
              <td>{format(edges[i + 1] ?? 0)}</td>
              <td>{formatWhole(count)}</td>
              <td>{formatChance(chanceOnCurve(curve, edges[i + 1] ?? 0))}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </VisuallyHidden>
  );
}
