package app.tychon.server.scenarios;

import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Driver.Swing;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Plan;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Outputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import app.tychon.server.drivers.InputView;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.scenarios.CurvesView.Curve;
import app.tychon.server.scenarios.RailsView.Rail;
import app.tychon.server.scenarios.RailsView.ScenarioRails;
import app.tychon.server.scenarios.TwoDriversView.TwoDriversRow;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Looks closer at a few scenarios: curves of any quantity, the plan row by row, what drives two of them. */
@Service
class Comparing {
    private static final int STEPS = 200;

    private final Board board;

    Comparing(Board board) {
        this.board = board;
    }

    /** The finish, or the start, of something in some scenarios. */
    CurvesView<LocalDateTime> dates(UUID project, List<String> scenarios, String of, boolean start) {
        return new CurvesView<>(scenarios.stream()
                .map(id -> curve(id, dates(project, board.ready(project, id), of, start), Instants::toCivil))
                .toList());
    }

    /** The cost, or the working days, of something in some scenarios. */
    CurvesView<Double> amounts(UUID project, List<String> scenarios, String of, boolean cost) {
        return new CurvesView<>(scenarios.stream()
                .map(id -> curve(id, amounts(project, board.ready(project, id), of, cost), value -> value))
                .toList());
    }

    private static <V> Curve<V> curve(String id, Sample sample, DoubleFunction<V> tell) {
        return new Curve<>(
                id,
                sample.size(),
                IntStream.rangeClosed(0, STEPS)
                        .mapToObj(i -> tell.apply(sample.percentile((double) i / STEPS)))
                        .toList());
    }

    private Sample dates(UUID project, Slot slot, String of, boolean start) {
        ScenarioOdds odds = slot.odds().orElseThrow();
        if (of.equals(Plan.PROJECT) && !start) {
            return odds.finish();
        }
        Output output = output(project, slot, of);
        return DateSample.of(start ? output.start() : output.finish(), WorkingTimes.ofProject(odds.plan()));
    }

    private Sample amounts(UUID project, Slot slot, String of, boolean cost) {
        ScenarioOdds odds = slot.odds().orElseThrow();
        double day = odds.plan().projectCalendar().hoursPerDay() * 60;
        if (of.equals(Plan.PROJECT)) {
            return cost
                    ? odds.cost()
                    : Sample.of(Arrays.stream(odds.outcomes().duration())
                            .map(minutes -> minutes / day)
                            .toArray());
        }
        Output output = output(project, slot, of);
        double[] money = output.cost().length == 0 ? new double[output.start().length] : output.cost();
        return Sample.of(
                cost
                        ? money
                        : Arrays.stream(output.duration())
                                .map(minutes -> minutes / day)
                                .toArray());
    }

    /** All values of an activity or a branch in a scenario. */
    private Output output(UUID project, Slot slot, String of) {
        int iterations = slot.odds().orElseThrow().iterations();
        record Asked(String of, int iterations) {}
        return slot.once(
                new Asked(of, iterations),
                () -> board.calculate(
                        project,
                        slot,
                        iterations,
                        monitor -> Outputs.of(slot.compiled(), Outlook.settings(iterations), iterations, of, monitor)));
    }

    /** When work begins and ends, row by row. */
    RailsView rails(UUID project, List<String> scenarios, List<Integer> levels) {
        return new RailsView(
                levels,
                scenarios.stream()
                        .map(id -> new ScenarioRails(id, rows(result(project, board.ready(project, id)), levels)))
                        .toList());
    }

    private RunResult result(UUID project, Slot slot) {
        return slot.once(
                "whole",
                () -> board.calculate(
                        project,
                        slot,
                        LiveOdds.FIRST,
                        monitor -> Simulation.run(slot.compiled(), Outlook.settings(LiveOdds.FIRST), monitor)));
    }

    private static List<Rail> rows(RunResult result, List<Integer> levels) {
        return Stream.concat(
                        result.activities().stream().map(one -> rail(one.id(), one.start(), one.finish(), levels)),
                        result.branches().stream().map(one -> rail(one.id(), one.start(), one.finish(), levels)))
                .toList();
    }

    private static Rail rail(String id, double[] start, double[] finish, List<Integer> levels) {
        return new Rail(id, at(start, levels), at(finish, levels));
    }

    private static long[] at(double[] percentiles, List<Integer> levels) {
        return levels.stream()
                .mapToLong(level -> Math.round(percentiles[level - 1]))
                .toArray();
    }

    /** What swings the finish, or the cost, in two scenarios. */
    TwoDriversView pair(UUID project, String one, String other, boolean cost) {
        Map<String, TwoDriversRow> rows = new LinkedHashMap<>();
        add(rows, project, one, cost, true);
        add(rows, project, other, cost, false);
        return new TwoDriversView(
                one,
                other,
                cost ? "money" : "days",
                rows.values().stream()
                        .sorted(Comparator.comparingDouble(row -> -Math.max(size(row.one()), size(row.other()))))
                        .toList());
    }

    private static double size(Double swing) {
        return swing == null ? 0 : Math.abs(swing);
    }

    private void add(Map<String, TwoDriversRow> rows, UUID project, String id, boolean cost, boolean isOne) {
        Slot slot = board.ready(project, id);
        Plan plan = slot.odds().orElseThrow().plan();
        double unit = cost ? 1 : plan.projectCalendar().hoursPerDay() * 60;
        InputView.Words words = new InputView.Words(plan);
        for (Driver driver : drivers(project, slot, cost)) {
            if (driver.swing().isEmpty()) {
                continue;
            }
            double swing = driver.swing().map(Swing::width).orElseThrow() / unit;
            InputView input = words.of(driver.input());
            TwoDriversRow known = rows.get(input.key());
            rows.put(
                    input.key(),
                    new TwoDriversRow(
                            input.key(),
                            input.id(),
                            input.name(),
                            input.mark(),
                            isOne ? (Double) swing : known == null ? null : known.one(),
                            isOne ? null : (Double) swing));
        }
    }

    private List<Driver> drivers(UUID project, Slot slot, boolean cost) {
        ScenarioOdds odds = slot.odds().orElseThrow();
        record Asked(boolean cost, int iterations) {}
        return slot.once(
                new Asked(cost, odds.iterations()),
                () -> board.calculate(project, slot, odds.iterations(), monitor -> {
                    CompiledPlan compiled = slot.compiled();
                    RunSettings settings = Outlook.settings(odds.iterations());
                    double[] output =
                            cost ? odds.outcomes().cost() : odds.outcomes().duration();
                    return Sensitivity.drivers(Inputs.of(compiled), settings, List.of(output))
                            .get(0);
                }));
    }
}
