package app.tychon.core.analysis;

import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Centred;
import app.tychon.core.statistics.Ranking;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What drives outputs of a run: every uncertain input measured against each of them, the strongest first; those that
 * happened never to vary come last and have no figures. All that vary enter the regression while there are ten iterations
 * an input; beyond that, those of the strongest rank correlation. An input is drawn and ranked once for all outputs.
 * O(inputs × n × outputs + n × inputs in regression²).
 */
public final class Sensitivity {
    /** Futures looked at; from so many a correlation is known to one or two units of its third decimal. */
    public static final int MOST_ITERATIONS = 100_000;

    private static final int ITERATIONS_AN_INPUT = 10;
    /** Inputs in a regression; what comes after the strongest so many adds nothing that could be told from chance. */
    private static final int MOST_EXAMINED = 500;
    /** How drivers are ordered: those that vary first, the strongest of them before the others. */
    private static final Comparator<Measured> STRONGEST_FIRST = Comparator.comparing((Measured m) -> !m.varies())
            .thenComparing(m -> -m.strength())
            .thenComparing(m -> m.driver().input().kind())
            .thenComparing(m -> m.driver().input().id())
            .thenComparing(m -> m.driver().input().key().impact());

    private final Inputs inputs;
    private final Grain grain;
    private final RunSettings settings;
    private final int iterations;

    private Sensitivity(Inputs inputs, Grain grain, RunSettings settings, int iterations) {
        this.inputs = inputs;
        this.grain = grain;
        this.settings = settings;
        this.iterations = iterations;
    }

    /** @param output one value an iteration, as the run with these settings gave it */
    public static List<Driver> drivers(Inputs inputs, RunSettings settings, double[] output) {
        return drivers(inputs, settings, List.of(output)).get(0);
    }

    /**
     * The drivers of each of several outputs, by the first {@value #MOST_ITERATIONS} iterations at most.
     *
     * @param outputs one value an iteration, as many in each
     */
    public static List<List<Driver>> drivers(Inputs inputs, RunSettings settings, List<double[]> outputs) {
        return drivers(inputs, Grain.FINEST, settings, outputs);
    }

    /** The same of inputs as finely as they are wanted. */
    public static List<List<Driver>> drivers(Inputs inputs, Grain grain, RunSettings settings, List<double[]> outputs) {
        int iterations = Math.min(MOST_ITERATIONS, outputs.get(0).length);
        return new Sensitivity(inputs, grain, settings, iterations)
                .drivers(outputs.stream()
                        .map(output -> Arrays.copyOf(output, iterations))
                        .toList());
    }

    /** An output, and its ranks. */
    private record Target(double[] output, Centred values, Centred ranks) {
        static Target of(double[] output) {
            return new Target(
                    output, Centred.of(output), Centred.of(Ranking.of(output).ranks()));
        }
    }

    private record Measured(Driver driver, double mean, double deviation) {
        boolean varies() {
            return deviation > 0;
        }

        double strength() {
            return Math.abs(driver.spearman().orElse(0));
        }
    }

    private List<List<Driver>> drivers(List<double[]> outputs) {
        List<Target> targets = outputs.stream().map(Target::of).toList();
        List<List<Measured>> measured = inputs.all(grain).parallelStream()
                .map(input -> measure(input, targets))
                .toList();
        return IntStream.range(0, targets.size())
                .mapToObj(t -> drivers(
                        targets.get(t),
                        measured.stream()
                                .map(one -> one.get(t))
                                .sorted(STRONGEST_FIRST)
                                .toList()))
                .toList();
    }

    private List<Driver> drivers(Target target, List<Measured> measured) {
        List<Measured> examined = measured.stream()
                .filter(Measured::varies)
                .limit(Math.min(MOST_EXAMINED, iterations / ITERATIONS_AN_INPUT))
                .toList();
        List<Driver> drivers =
                new ArrayList<>(measured.stream().map(Measured::driver).toList());
        List<Driver.Regressed> regressed = regress(examined, target);
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

    /** One input against each target. */
    private List<Measured> measure(Input input, List<Target> targets) {
        double[] values = inputs.sample(input, settings, 0, iterations);
        Centred centred = Centred.of(values);
        if (!centred.varies()) {
            Driver none = new Driver(
                    input, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty(), Optional.empty());
            Measured never = new Measured(none, centred.mean(), 0);
            return targets.stream().map(target -> never).toList();
        }
        Ranking ranking = Ranking.of(values);
        Centred ranks = Centred.of(ranking.ranks());
        return targets.stream()
                .map(target -> new Measured(
                        new Driver(
                                input,
                                ranks.correlation(target.ranks()),
                                centred.correlation(target.values()),
                                Optional.empty(),
                                Optional.of(swing(input, values, ranking, target))),
                        centred.mean(),
                        centred.deviation()))
                .toList();
    }

    private static Driver.Swing swing(Input input, double[] values, Ranking ranking, Target target) {
        double mean = target.values().mean();
        boolean bothSeen = input.kind() == Input.Kind.OCCURRENCE && isSometimes(values);
        return bothSeen ? Tenths.struck(values, target.output(), mean) : Tenths.swing(ranking, target.output(), mean);
    }

    /** Whether a risk struck in some futures, and not in others. */
    private static boolean isSometimes(double[] times) {
        return Arrays.stream(times).anyMatch(t -> t > 0) && Arrays.stream(times).anyMatch(t -> t == 0);
    }

    private List<Driver.Regressed> regress(List<Measured> examined, Target target) {
        if (examined.isEmpty() || !target.values().varies()) {
            return List.of();
        }
        List<Regression.Term> terms = examined.stream()
                .map(m -> new Regression.Term(m.driver().input(), m.mean(), m.deviation()))
                .toList();
        return Regression.of(
                terms,
                inputs,
                settings,
                target.output(),
                target.values().mean(),
                target.values().deviation());
    }
}
