package app.tychon.core.uncertainty;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;

/**
 * The correlation matrix nearest to a symmetric one in the Frobenius norm: alternating projections onto the positive
 * semi-definite matrices and those of unit diagonal, with Dykstra's correction (Higham, "Computing the nearest
 * correlation matrix", IMA Journal of Numerical Analysis 22, 2002). O(n³) a step.
 */
public final class NearestCorrelation {
    private static final int MOST_STEPS = 500;
    private static final double SAME = 1e-10;
    /** Eigenvalues are kept this far from zero, so that rounding leaves the result positive semi-definite. */
    private static final double LEAST_EIGENVALUE = 1e-12;

    private NearestCorrelation() {}

    /** Whether there is a set of quantities with these correlations: no eigenvalue below zero, up to rounding. */
    public static boolean isPossible(double[][] matrix) {
        return Cholesky.lower(matrix).isPresent();
    }

    /** Whether these rank correlations can hold together: whether the normals beneath them can. */
    public static boolean isPossibleOfRanks(double[][] ranks) {
        return isPossible(each(ranks, RankCorrelation::toNormal));
    }

    /** The rank correlations of the nearest normals that can hold together. */
    public static double[][] ofRanks(double[][] ranks) {
        return each(of(each(ranks, RankCorrelation::toNormal)), RankCorrelation::ofNormal);
    }

    private static double[][] each(double[][] matrix, DoubleUnaryOperator map) {
        double[][] result = copy(matrix);
        for (int i = 0; i < result.length; i++) {
            for (int j = 0; j < result.length; j++) {
                result[i][j] = i == j ? 1 : map.applyAsDouble(matrix[i][j]);
            }
        }
        return result;
    }

    /** @param matrix symmetric with unit diagonal; it is not changed */
    public static double[][] of(double[][] matrix) {
        int n = matrix.length;
        double[][] y = copy(matrix);
        double[][] correction = new double[n][n];
        for (int step = 0; step < MOST_STEPS; step++) {
            double[][] r = new double[n][n];
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    r[i][j] = y[i][j] - correction[i][j];
                }
            }
            double[][] x = positive(r);
            double moved = 0;
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    correction[i][j] = x[i][j] - r[i][j];
                    double next = i == j ? 1 : x[i][j];
                    moved = Math.max(moved, Math.abs(next - y[i][j]));
                    y[i][j] = next;
                }
            }
            if (moved < SAME) {
                break;
            }
        }
        return unitDiagonal(positive(y));
    }

    /** The nearest matrix without eigenvalues below zero. */
    private static double[][] positive(double[][] matrix) {
        int n = matrix.length;
        EigenDecompositionSymmetric eigen = new EigenDecompositionSymmetric(new Array2DRowRealMatrix(matrix, false));
        double[][] vectors = eigen.getV().getData();
        double[][] result = new double[n][n];
        for (int e = 0; e < n; e++) {
            double value = Math.max(LEAST_EIGENVALUE, eigen.getEigenvalue(e));
            for (int i = 0; i < n; i++) {
                double scaled = value * vectors[i][e];
                for (int j = 0; j <= i; j++) {
                    result[i][j] += scaled * vectors[j][e];
                }
            }
        }
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < i; j++) {
                result[j][i] = result[i][j];
            }
        }
        return result;
    }

    private static double[][] unitDiagonal(double[][] matrix) {
        int n = matrix.length;
        double[][] result = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                result[i][j] = i == j ? 1 : matrix[i][j] / Math.sqrt(matrix[i][i] * matrix[j][j]);
            }
        }
        return result;
    }

    private static double[][] copy(double[][] matrix) {
        double[][] copy = new double[matrix.length][];
        for (int i = 0; i < matrix.length; i++) {
            copy[i] = matrix[i].clone();
        }
        return copy;
    }
}
