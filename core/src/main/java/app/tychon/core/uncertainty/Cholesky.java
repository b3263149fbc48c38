package app.tychon.core.uncertainty;

import java.util.Optional;

/** C = L Lᵀ for a positive semi-definite C; a pivot that is zero up to rounding leaves its column empty. O(n³). */
public final class Cholesky {
    private static final double ROUNDING = 1e-9;

    private Cholesky() {}

    /** The lower factor, or nothing where the matrix has an eigenvalue below zero. */
    public static Optional<double[][]> lower(double[][] matrix) {
        int n = matrix.length;
        double[][] lower = new double[n][n];
        for (int j = 0; j < n; j++) {
            double pivot = matrix[j][j] - dot(lower[j], lower[j], j);
            if (pivot < -ROUNDING) {
                return Optional.empty();
            }
            boolean singular = pivot <= ROUNDING;
            lower[j][j] = singular ? 0 : Math.sqrt(pivot);
            for (int i = j + 1; i < n; i++) {
                double rest = matrix[i][j] - dot(lower[i], lower[j], j);
                if (singular && Math.abs(rest) > Math.sqrt(ROUNDING)) {
                    return Optional.empty();
                }
                lower[i][j] = singular ? 0 : rest / lower[j][j];
            }
        }
        return Optional.of(lower);
    }

    private static double dot(double[] x, double[] y, int count) {
        double sum = 0;
        for (int k = 0; k < count; k++) {
            sum += x[k] * y[k];
        }
        return sum;
    }
}
