package app.tychon.core.analysis;

import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * Least squares of an output on inputs, all standardised. Solved by Cholesky's factors of the inputs' correlation matrix;
 * where inputs are collinear, by its singular values, so that they share instead of blowing up. Draws are recomputed
 * piece by piece, so that no input is held whole. O(iterations × inputs²).
 */
final class Regression {
    private static final int PIECE = 500;
    /** What of an input's variance the others must leave, or they are collinear. */
    private static final double COLLINEAR = 1e-6;

    private final double[][] amongInputs;
    private final double[] withOutput;

    private Regression(int size) {
        amongInputs = new double[size][size];
        withOutput = new double[size];
    }

    /** An input that varies, with its mean and standard deviation over the run. */
    record Term(Input input, double mean, double deviation) {}

    /** One result a term. @param output must vary */
    static List<Driver.Regressed> of(
            List<Term> terms, Inputs inputs, RunSettings settings, double[] output, double mean, double deviation) {
        Regression regression = new Regression(terms.size());
        for (int first = 0; first < output.length; first += PIECE) {
            int from = first;
            int count = Math.min(PIECE, output.length - first);
            double[][] rows = new double[count][terms.size()];
            IntStream.range(0, terms.size()).parallel().forEach(j -> {
                Term term = terms.get(j);
                double[] values = inputs.sample(term.input(), settings, from, count);
                for (int i = 0; i < count; i++) {
                    rows[i][j] = (values[i] - term.mean()) / term.deviation();
                }
            });
            double[] standard = Arrays.stream(output, from, from + count)
                    .map(value -> (value - mean) / deviation)
                    .toArray();
            regression.add(rows, standard);
        }
        RealVector coefficients = regression.solve(output.length - 1);
        return IntStream.range(0, terms.size())
                .mapToObj(j -> {
                    double beta = coefficients.getEntry(j);
                    double correlation = regression.withOutput[j] / (output.length - 1);
                    return new Driver.Regressed(
                            beta, beta * deviation / terms.get(j).deviation(), beta * correlation);
                })
                .toList();
    }

    /**
     * Adds iterations, one a row of standardised inputs. Four at a time are added along a whole line of the matrix, where
     * the processor works on several columns at once.
     */
    private void add(double[][] rows, double[] output) {
        IntStream.range(0, withOutput.length).parallel().forEach(j -> {
            double[] line = amongInputs[j];
            int i = 0;
            for (; i + 3 < rows.length; i += 4) {
                addFour(line, j + 1, rows[i], rows[i + 1], rows[i + 2], rows[i + 3], j);
                withOutput[j] += rows[i][j] * output[i]
                        + rows[i + 1][j] * output[i + 1]
                        + rows[i + 2][j] * output[i + 2]
                        + rows[i + 3][j] * output[i + 3];
            }
            for (; i < rows.length; i++) {
                for (int k = 0; k <= j; k++) {
                    line[k] += rows[i][j] * rows[i][k];
                }
                withOutput[j] += rows[i][j] * output[i];
            }
        });
    }

    private static void addFour(double[] line, int count, double[] a, double[] b, double[] c, double[] d, int j) {
        double aj = a[j];
        double bj = b[j];
        double cj = c[j];
        double dj = d[j];
        for (int k = 0; k < count; k++) {
            line[k] += aj * a[k] + bj * b[k] + (cj * c[k] + dj * d[k]);
        }
    }

    private RealVector solve(int degrees) {
        int n = withOutput.length;
        RealMatrix matrix = new Array2DRowRealMatrix(n, n);
        for (int j = 0; j < n; j++) {
            for (int k = 0; k <= j; k++) {
                double r = amongInputs[j][k] / degrees;
                matrix.setEntry(j, k, r);
                matrix.setEntry(k, j, r);
            }
        }
        RealVector right = new ArrayRealVector(withOutput).mapDivide(degrees);
        try {
            return new CholeskyDecomposition(matrix, COLLINEAR, COLLINEAR)
                    .getSolver()
                    .solve(right);
        } catch (MathRuntimeException collinear) {
            return shared(new SingularValueDecomposition(matrix), right);
        }
    }

    /** The smallest of the solutions that are as good as any: directions in which inputs do not vary count for nothing. */
    private static RealVector shared(SingularValueDecomposition decomposed, RealVector right) {
        RealVector along = decomposed.getUT().operate(right);
        double[] strengths = decomposed.getSingularValues();
        for (int i = 0; i < strengths.length; i++) {
            along.setEntry(i, strengths[i] > COLLINEAR ? along.getEntry(i) / strengths[i] : 0);
        }
        return decomposed.getV().operate(along);
    }
}
