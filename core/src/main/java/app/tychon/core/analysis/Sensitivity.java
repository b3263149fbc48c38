package app.tychon.core.analysis;

import app.tychon.core.simulation.Input;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.RunSettings;
import app.tychon.core.statistics.Ranks;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;

/**
 * What drives an output of a run: every uncertain input measured against it, the strongest first; those that happened
 * never to vary come last and have no figures. All that vary enter the regression while there are ten iterations an
 * input; beyond that, those of the strongest rank correlation. O(inputs × n log n + n × inputs in regression²).
 */
public final class Sensitivity {
    private static final int ITERATIONS_AN_INPUT = 10;

    private final Inputs inputs;
    private final RunSettings settings;
    private final double[] output;
    private final double[] outputRanks;

    private Sensitivity(Inputs inputs, RunSettings settings, double[] output) {
        this.inputs = inputs;
        this.settings = settings;
        this.output = output;
        outputRanks = Ranks.of(output);
    }

    /** @param output one value an iteration, as the run with these settings gave it */
    public static List<Driver> drivers(Inputs inputs, RunSettings settings, double[] output) {
        return new Sensitivity(inputs, settings, output).drivers();
    }

    private record Measured(Driver driver, double mean, double deviation) {
        boolean varies() {
            return deviation > 0;
        }

        double strength() {
            return Math.abs(driver.spearman().orElse(0));
        }
    }

    private List<Driver> drivers() {
        List<Measured> measured = inputs.all().parallelStream()
                .map(this::measure)
                .sorted(Comparator.comparing((Measured m) -> !m.varies())
                        .thenComparing(m -> -m.strength())
                        .thenComparing(m -> m.driver().input().kind())
                        .thenComparing(m -> m.driver().input().id())
                        .thenComparing(m -> m.driver().input().key().impact()))
                .toList();
        List<Measured> examined = measured.stream()
                .filter(Measured::varies)
                .limit(output.length / ITERATIONS_AN_INPUT)
                .toList();
        List<Driver> drivers =
                new ArrayList<>(measured.stream().map(Measured::driver).toList());
        List<Driver.Regressed> regressed = regress(examined);
        for (int j = 0; j < regressed.size(); j++) {
            Driver driver = drivers.get(j);
            drivers.set(
                    j,
                    new Driver(
                            driver.input(),
                            driver.spearman(),
                            driver.pearson(),
                            Optional.of(regressed.get(j)),
                            driver.swing()));
        }
        return drivers;
    }

    private Measured measure(Input input) {
        double[] values = inputs.sample(input, settings, 0, output.length);
        double mean = mean(values);
        double deviation = deviation(values, mean);
        if (deviation == 0) {
            Driver none = new Driver(
                    input, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty(), OptionalDouble.empty());
            return new Measured(none, mean, 0);
        }
        Driver driver = new Driver(
                input,
                Ranks.correlation(Ranks.of(values), outputRanks),
                Ranks.correlation(values, output),
                Optional.empty(),
                swing(input, values));
        return new Measured(driver, mean, deviation);
    }

    private OptionalDouble swing(Input input, double[] values) {
        if (input.kind() != Input.Kind.OCCURRENCE) {
            return OptionalDouble.of(Tenths.swing(values, output));
        }
        OptionalDouble struck = mean(values, v -> v > 0);
        OptionalDouble spared = mean(values, v -> v == 0);
        return struck.isEmpty() || spared.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(struck.getAsDouble() - spared.getAsDouble());
    }

    private OptionalDouble mean(double[] values, DoublePredicate where) {
        return IntStream.range(0, values.length)
                .filter(i -> where.test(values[i]))
                .mapToDouble(i -> output[i])
                .average();
    }

    private List<Driver.Regressed> regress(List<Measured> examined) {
        double mean = mean(output);
        double deviation = deviation(output, mean);
        if (examined.isEmpty() || deviation == 0) {
            return List.of();
        }
        List<Regression.Term> terms = examined.stream()
                .map(m -> new Regression.Term(m.driver().input(), m.mean(), m.deviation()))
                .toList();
        return Regression.of(terms, inputs, settings, output, mean, deviation);
    }

    /** Exact where all values are the same. */
    private static double mean(double[] values) {
        return values[0] + Arrays.stream(values).map(v -> v - values[0]).sum() / values.length;
    }

    private static double deviation(double[] values, double mean) {
        double squares = 0;
        for (double value : values) {
            squares += (value - mean) * (value - mean);
        }
        return values.length < 2 ? 0 : Math.sqrt(squares / (values.length - 1));
    }
}
