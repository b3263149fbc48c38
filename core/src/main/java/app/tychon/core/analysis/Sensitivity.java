package app.tychon.core.analysis;

import app.tychon.core.simulation.Input;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.RunSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * What drives an output of a run: every uncertain input measured against it, the strongest first. The regression is
 * least squares on the inputs whose rank correlation is the strongest, solved by singular values of their correlation
 * matrix, so that collinear inputs share instead of blowing up. O(inputs × n log n).
 */
public final class Sensitivity {
    private static final int MOST_IN_REGRESSION = 40;
    private static final int TENTHS = 10;

    private Sensitivity() {}

    /** @param output one value an iteration, as the run with these settings gave it */
    public static List<Driver> drivers(Inputs inputs, RunSettings settings, double[] output) {
        double[] outputRanks = Ranks.of(output);
        List<Driver> measured = inputs.all().parallelStream()
                .map(input -> measure(inputs.sample(input, settings, output.length), input, output, outputRanks))
                .sorted(Comparator.comparingDouble((Driver d) -> -Math.abs(d.spearman()))
                        .thenComparing(d -> d.input().kind())
                        .thenComparing(d -> d.input().id())
                        .thenComparing(d -> d.input().key().impact()))
                .toList();
        // More inputs than a fraction of the iterations would fit noise.
        int size = Math.min(measured.size(), Math.min(MOST_IN_REGRESSION, output.length / TENTHS));
        List<Driver> drivers = new ArrayList<>(regress(inputs, settings, output, measured.subList(0, size)));
        drivers.addAll(measured.subList(size, measured.size()));
        return drivers;
    }

    private static Driver measure(double[] values, Input input, double[] output, double[] outputRanks) {
        double[] ranks = Ranks.of(values);
        return new Driver(
                input,
                Ranks.pearson(ranks, outputRanks),
                Ranks.pearson(values, output),
                0,
                0,
                0,
                swing(input, values, ranks, output));
    }

    private static double swing(Input input, double[] values, double[] ranks, double[] output) {
        if (input.kind() == Input.Kind.OCCURRENCE) {
            return mean(output, i -> values[i] > 0) - mean(output, i -> values[i] == 0);
        }
        double tenth = Math.max(1, ranks.length / (double) TENTHS);
        double highest = mean(output, i -> ranks[i] > ranks.length - tenth);
        double lowest = mean(output, i -> ranks[i] <= tenth);
        return highest - lowest;
    }

    private static double mean(double[] output, IntPredicate where) {
        return IntStream.range(0, output.length)
                .filter(where)
                .mapToDouble(i -> output[i])
                .average()
                .orElse(0);
    }

    private static List<Driver> regress(Inputs inputs, RunSettings settings, double[] output, List<Driver> strongest) {
        if (strongest.isEmpty() || deviation(output) == 0) {
            return strongest;
        }
        int size = strongest.size();
        double[][] standard = new double[size][];
        double[] deviations = new double[size];
        double[] withOutput = new double[size];
        double[] standardOutput = standardised(output);
        for (int j = 0; j < size; j++) {
            double[] values = inputs.sample(strongest.get(j).input(), settings, output.length);
            deviations[j] = deviation(values);
            standard[j] = standardised(values);
            withOutput[j] = correlation(standard[j], standardOutput);
        }
        double[][] amongInputs = new double[size][size];
        for (int j = 0; j < size; j++) {
            for (int k = 0; k <= j; k++) {
                amongInputs[j][k] = correlation(standard[j], standard[k]);
                amongInputs[k][j] = amongInputs[j][k];
            }
        }
        RealVector coefficients = new SingularValueDecomposition(new Array2DRowRealMatrix(amongInputs, false))
                .getSolver()
                .solve(new ArrayRealVector(withOutput, false));
        double outputDeviation = deviation(output);
        List<Driver> drivers = new ArrayList<>();
        for (int j = 0; j < size; j++) {
            Driver driver = strongest.get(j);
            double beta = coefficients.getEntry(j);
            drivers.add(new Driver(
                    driver.input(),
                    driver.spearman(),
                    driver.pearson(),
                    beta,
                    beta * outputDeviation / deviations[j],
                    beta * withOutput[j],
                    driver.swing()));
        }
        return drivers;
    }

    private static double correlation(double[] standardX, double[] standardY) {
        double sum = 0;
        for (int i = 0; i < standardX.length; i++) {
            sum += standardX[i] * standardY[i];
        }
        return sum / (standardX.length - 1);
    }

    private static double[] standardised(double[] values) {
        double mean = Arrays.stream(values).sum() / values.length;
        double deviation = deviation(values);
        return Arrays.stream(values).map(v -> (v - mean) / deviation).toArray();
    }

    private static double deviation(double[] values) {
        double mean = Arrays.stream(values).sum() / values.length;
        double squares = 0;
        for (double value : values) {
            squares += (value - mean) * (value - mean);
        }
        return Math.sqrt(squares / (values.length - 1));
    }
}
