import type { CorrelationView } from "../../shared/api/client";
import { parseNumber } from "../../shared/format/numbers";

export const isMatrix = (correlation: CorrelationView) => correlation.matrix.length > 0;

/** The coefficient asked for between two members. */
export function coefficientOf(correlation: CorrelationView, row: number, column: number): number {
  if (row === column) return 1;
  if (!isMatrix(correlation)) return correlation.coefficient ?? 0;
  return correlation.matrix[Math.max(row, column)]?.[Math.min(row, column)] ?? 0;
}

function triangle(size: number, value: (row: number, column: number) => number): number[][] {
  return Array.from({ length: size }, (_, row) =>
    Array.from({ length: row + 1 }, (_, column) => (row === column ? 1 : value(row, column))),
  );
}

/** The same correlation with a coefficient for each pair. */
export function asMatrix(correlation: CorrelationView): CorrelationView {
  const matrix = triangle(correlation.members.length, (row, column) =>
    coefficientOf(correlation, row, column),
  );
  return { ...correlation, coefficient: undefined, matrix };
}

/** With one coefficient for all: that of the first pair. */
export function asGroup(correlation: CorrelationView): CorrelationView {
  return { ...correlation, coefficient: coefficientOf(correlation, 1, 0), matrix: [] };
}

/** With other members; pairs that stay keep their coefficients. */
export function withMembers(correlation: CorrelationView, members: string[]): CorrelationView {
  if (!isMatrix(correlation)) return { ...correlation, members };
  const old = members.map((member) => correlation.members.indexOf(member));
  const at = (i: number) => old[i] ?? -1;
  const matrix = triangle(members.length, (row, column) =>
    at(row) < 0 || at(column) < 0 ? 0.3 : coefficientOf(correlation, at(row), at(column)),
  );
  return { ...correlation, members, matrix };
}

/** A block of numbers, typed or pasted, put into the lower triangle from a cell on. */
export function withBlock(
  correlation: CorrelationView,
  row: number,
  column: number,
  text: string,
): CorrelationView | { refusal: string } {
  const matrix = correlation.matrix.map((values) => [...values]);
  const lines = text.replace(/\r/g, "").replace(/\n$/, "").split("\n");
  for (const [down, line] of lines.entries()) {
    for (const [across, cell] of line.split("\t").entries()) {
      const values = matrix[row + down];
      const at = column + across;
      // The diagonal is 1, and what stands above it is the same once more.
      if (!values || at >= row + down || cell.trim() === "") continue;
      const value = parseNumber(cell);
      if (value === undefined || Math.abs(value) > 1)
        return { refusal: `A coefficient is a number from −1 to 1, not “${cell.trim()}”.` };
      values[at] = value;
    }
  }
  return { ...correlation, matrix };
}

/** What a coefficient means, in words. */
export function strength(coefficient: number): string {
  const size = Math.abs(coefficient);
  if (size < 0.05) return "They have nothing to do with each other.";
  const how = size < 0.35 ? "loosely" : size < 0.65 ? "clearly" : size < 0.9 ? "closely" : "almost in step";
  return coefficient > 0
    ? `They move ${how} together: when one is late, the others mostly are.`
    : `They move ${how} against each other: when one is late, the other is mostly early.`;
}
