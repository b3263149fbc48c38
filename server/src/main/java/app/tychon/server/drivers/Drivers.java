package app.tychon.server.drivers;

import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Driver.Regressed;
import app.tychon.core.analysis.Driver.Swing;
import app.tychon.core.analysis.RankRange;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.statistics.Centred;
import app.tychon.server.drivers.DriversView.DriverRow;
import jakarta.annotation.Nullable;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** Measures every uncertain input against what is asked about, and tells it in days and in money. */
final class Drivers {
    private final Goal goal;
    private final Plan plan;
    private final InputUnits units;

    private Drivers(Goal goal) {
        this.goal = goal;
        plan = goal.run().plan();
        units = new InputUnits(plan);
    }

    /** What groups add up. */
    enum Measure {
        SWING,
        CONTRIBUTION;

        /** @throws IllegalArgumentException for a measure that does not add up */
        static Measure of(String name) {
            for (Measure one : values()) {
                if (one.name().toLowerCase(Locale.ROOT).equals(name)) {
                    return one;
                }
            }
            throw new IllegalArgumentException(
                    "measure: what is added up is swing or contribution; \"" + name + "\" does not add up");
        }

        ToDoubleFunction<Driver> reader(double unit) {
            return this == SWING
                    ? driver -> Math.abs(driver.swing().map(Swing::width).orElse(0.0)) / unit
                    : driver -> driver.regression().map(Regressed::contribution).orElse(0.0);
        }
    }

    static DriversView of(Goal goal, Grains grains, Gathering gathering, Measure measure) {
        return new Drivers(goal).view(grains, gathering, measure);
    }

    private record Measured(Aim aim, Grain grain) {}

    /**
     * Every input against a goal, the strongest rank correlation first.
     *
     * @param output the goal's values
     */
    static List<Driver> measured(Goal goal, Grains grains, double[] output) {
        Grain grain = grains.of(goal);
        return goal.run().once(new Measured(goal.aim(), grain), () -> goal.run()
                .calculate(output.length, (ready, monitor) -> Sensitivity.drivers(
                                goal.inputs(), grain, goal.settings(), List.of(output))
                        .get(0)));
    }

    private DriversView view(Grains grains, Gathering gathering, Measure measure) {
        double[] output = goal.values();
        List<Driver> drivers = measured(goal, grains, output);
        Centred centred = Centred.of(output);
        Map<Input, RankRange> ranks = ranks(drivers);
        InputView.Words words = new InputView.Words(plan);
        double explained = drivers.stream()
                .flatMap(driver -> driver.regression().stream())
                .mapToDouble(Regressed::contribution)
                .sum();
        return new DriversView(
                output.length,
                goal.tellMean(centred.mean()),
                goal.tellPlanned(),
                centred.deviation() / goal.unit(),
                centred.varies(),
                centred.varies() && !drivers.isEmpty() ? 1 - explained : null,
                drivers.stream()
                        .map(driver -> row(driver, ranks.get(driver.input()), words))
                        .toList(),
                gathering.groups(plan, drivers, Driver::input, measure.reader(goal.unit())));
    }

    private static Map<Input, RankRange> ranks(List<Driver> drivers) {
        List<Driver> swinging = drivers.stream()
                .filter(driver -> driver.swing().isPresent())
                .sorted(Comparator.comparingDouble(
                        driver -> -Math.abs(driver.swing().orElseThrow().width())))
                .toList();
        RankRange[] ranges = RankRange.of(
                swinging.stream()
                        .mapToDouble(driver -> driver.swing().orElseThrow().width())
                        .toArray(),
                swinging.stream()
                        .mapToDouble(driver -> driver.swing().orElseThrow().error())
                        .toArray());
        Map<Input, RankRange> ranks = new HashMap<>();
        IntStream.range(0, ranges.length).forEach(i -> ranks.put(swinging.get(i).input(), ranges[i]));
        return ranks;
    }

    private DriverRow row(Driver driver, @Nullable RankRange rank, InputView.Words words) {
        Swing swing = driver.swing().orElse(null);
        Regressed part = driver.regression().orElse(null);
        return new DriverRow(
                words.of(driver.input()),
                units.of(driver.input()),
                swing == null ? null : swing.low() / goal.unit(),
                swing == null ? null : swing.high() / goal.unit(),
                swing == null || Double.isNaN(swing.error()) ? null : swing.error() / goal.unit(),
                rank == null ? null : rank.best(),
                rank == null ? null : rank.worst(),
                known(driver.spearman()),
                known(driver.pearson()),
                part == null ? null : part.perUnit() * units.each(driver.input()) / goal.unit(),
                part == null ? null : part.coefficient(),
                part == null ? null : part.contribution());
    }

    /** A number as the interface tells it: absent where there is none. */
    static @Nullable Double known(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
