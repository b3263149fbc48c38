package app.tychon.core.analysis;

import app.tychon.core.simulation.Input;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.RunSettings;
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
    private static final int PIECE = 2_000;
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
            double[][] values = terms.parallelStream()
                    .map(t -> standardised(
                            inputs.sample(t.input(), settings, from, count), 0, count, t.mean(), t.deviation()))
                    .toArray(double[][]::new);
            regression.add(values, standardised(output, from, count, mean, deviation));
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

    private void add(double[][] values, double[] output) {
        IntStream.range(0, values.length).parallel().forEach(j -> {
            withOutput[j] += dot(values[j], output);
            for (int k = 0; k <= j; k++) {
                amongInputs[j][k] += dot(values[j], values[k]);
            }
        });
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
            return new SingularValueDecomposition(matrix).getSolver().solve(right);
        }
    }

    /** Four sums side by side, which the processor adds at once. */
    private static double dot(double[] x, double[] y) {
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        int i = 0;
        for (; i + 3 < x.length; i += 4) {
            a += x[i] * y[i];
            b += x[i + 1] * y[i + 1];
            c += x[i + 2] * y[i + 2];
            d += x[i + 3] * y[i + 3];
        }
        for (; i < x.length; i++) {
            a += x[i] * y[i];
        }
        return a + b + (c + d);
    }

    private static double[] standardised(double[] values, int from, int count, double mean, double deviation) {
        double[] standard = new double[count];
        for (int k = 0; k < count; k++) {
            standard[k] = (values[from + k] - mean) / deviation;
        }
        return standard;
    }
}
