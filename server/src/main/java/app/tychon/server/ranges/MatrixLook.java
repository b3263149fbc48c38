package app.tychon.server.ranges;

import app.tychon.core.model.Correlation;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.core.uncertainty.NearestCorrelation;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.SpreadJson;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether coefficients can hold together.
 *
 * @param nearest the lower triangle of the nearest that can, to two decimals; the same where they can
 * @param moved pairs that differ there
 */
record MatrixLook(boolean possible, List<List<Double>> nearest, List<Moved> moved) {
    private static final double HUNDREDTH = 100;
    private static final double SHRINK = 0.995;

    /** A coefficient as it was asked for and as it would be. */
    record Moved(String one, String other, double asked, double nearest) {}

    /** @throws InvalidPlanException for what is no correlation */
    static MatrixLook of(JsonNode words) {
        List<Problem> problems = new ArrayList<>();
        Correlation correlation = SpreadJson.correlation(JsonCursor.at(words, problems));
        if (problems.isEmpty()) {
            problems.addAll(correlation.problems());
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        double[][] asked = correlation.asked();
        boolean possible = NearestCorrelation.isPossibleOfRanks(asked);
        double[][] nearest = possible ? asked : rounded(NearestCorrelation.ofRanks(asked));
        List<List<Double>> triangle = new ArrayList<>();
        List<Moved> moved = new ArrayList<>();
        List<String> members = correlation.members();
        for (int i = 0; i < asked.length; i++) {
            List<Double> row = new ArrayList<>();
            for (int j = 0; j <= i; j++) {
                row.add(nearest[i][j]);
                if (nearest[i][j] != asked[i][j]) {
                    moved.add(new Moved(members.get(j), members.get(i), asked[i][j], nearest[i][j]));
                }
            }
            triangle.add(row);
        }
        return new MatrixLook(possible, triangle, moved);
    }

    /** To two decimals, as people type them; where rounding would make it impossible again, a little nearer to none. */
    private static double[][] rounded(double[][] nearest) {
        double shrink = 1;
        double[][] result = round(nearest, shrink);
        while (!NearestCorrelation.isPossibleOfRanks(result)) {
            shrink *= SHRINK;
            result = round(nearest, shrink);
        }
        return result;
    }

    private static double[][] round(double[][] matrix, double shrink) {
        double[][] result = new double[matrix.length][matrix.length];
        for (int i = 0; i < matrix.length; i++) {
            for (int j = 0; j < matrix.length; j++) {
                result[i][j] = i == j ? 1 : Math.round(HUNDREDTH * shrink * matrix[i][j]) / HUNDREDTH;
            }
        }
        return result;
    }
}
