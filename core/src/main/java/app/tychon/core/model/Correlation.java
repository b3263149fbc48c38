package app.tychon.core.model;

import java.util.List;
import java.util.OptionalDouble;

/**
 * Estimates that move together, as rank correlation: either one coefficient for every pair, or a matrix.
 *
 * @param members ids of activities or cost lines
 * @param matrix  lower triangle with the diagonal, a row a member; empty where there is one coefficient
 */
public record Correlation(
        String id, String name, List<String> members, OptionalDouble coefficient, List<List<Double>> matrix) {
    public Correlation {
        members = List.copyOf(members);
        matrix = matrix.stream().map(List::copyOf).toList();
    }

    public static Correlation group(String id, String name, List<String> members, double coefficient) {
        return new Correlation(id, name, members, OptionalDouble.of(coefficient), List.of());
    }

    /** The coefficient asked for between two members, 0 to size - 1. */
    public double asked(int row, int column) {
        if (row == column) {
            return 1;
        }
        return coefficient.orElseGet(() -> matrix.get(Math.max(row, column)).get(Math.min(row, column)));
    }

    /** All coefficients, as a full matrix. */
    public double[][] asked() {
        double[][] all = new double[members.size()][members.size()];
        for (int i = 0; i < all.length; i++) {
            for (int j = 0; j < all.length; j++) {
                all[i][j] = asked(i, j);
            }
        }
        return all;
    }

    /** What is wrong with it by itself, whatever its members are. */
    public List<Problem> problems() {
        return CorrelationRules.problems(this);
    }
}
