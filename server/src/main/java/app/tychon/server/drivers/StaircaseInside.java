package app.tychon.server.drivers;

import app.tychon.core.analysis.CostStaircase;
import app.tychon.core.analysis.CostStaircase.Delay;
import app.tychon.core.analysis.CostStaircase.Part;
import app.tychon.core.analysis.Staircase;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.server.drivers.StaircaseView.StairInside;
import app.tychon.server.drivers.StaircaseView.StairPart;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Opens a step of a staircase. */
final class StaircaseInside {
    private static final Map<Delay, String> DELAYS = Map.of(
            Delay.ESTIMATES, "Estimates of duration",
            Delay.THREATS, "Threats",
            Delay.OPPORTUNITIES, "Opportunities");
    private static final Map<Delay, String> MARKS =
            Map.of(Delay.ESTIMATES, "estimate", Delay.THREATS, "threat", Delay.OPPORTUNITIES, "opportunity");

    private final Goal goal;
    private final double level;
    private final RunMonitor monitor;
    private final InputView.Words words;
    private final Map<String, String> names;

    private StaircaseInside(Goal goal, double level, RunMonitor monitor) {
        this.goal = goal;
        this.level = level;
        this.monitor = monitor;
        Plan plan = goal.run().plan();
        words = new InputView.Words(plan);
        names = Stream.of(
                        plan.activities().stream().map(one -> Map.entry("ESTIMATE" + one.id(), name(one))),
                        plan.costs().stream().map(one -> Map.entry("COST" + one.id(), name(one))),
                        plan.risks().stream().map(one -> Map.entry("RISK" + one.id(), name(one))))
                .flatMap(Function.identity())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one));
    }

    private static String name(Activity activity) {
        return activity.name();
    }

    private static String name(CostLine line) {
        return line.name();
    }

    private static String name(Risk risk) {
        return risk.title();
    }

    /** @throws IllegalArgumentException where there is no such step */
    static StairInside of(Goal goal, String cause, double level) {
        StaircaseView whole = StaircaseView.of(goal, level);
        double change = whole.steps().stream()
                .filter(step -> step.cause().equals(cause))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no step \"" + cause + "\""))
                .change();
        List<StairPart> parts = goal.run().once(new Asked(goal.aim(), cause, level), () -> goal.run()
                .calculate(
                        goal.run().result().iterations(),
                        (ready, monitor) -> new StaircaseInside(goal, level, monitor).parts(cause)));
        double sum = parts.stream().mapToDouble(StairPart::change).sum();
        return new StairInside(cause, change, parts, change - sum);
    }

    private record Asked(Aim aim, String cause, double level) {}

    private List<StairPart> parts(String cause) {
        return goal.aim().equals(Aim.COST) ? money(cause) : causes(cause);
    }

    private List<StairPart> causes(String cause) {
        Staircase.Cause step = Stream.of(Staircase.Cause.values())
                .filter(one -> StaircaseView.name(one).equals(cause))
                .findFirst()
                .orElseThrow();
        return Staircase.of(goal.run().compiled(), goal.aim(), goal.settings(), level).inside(step, monitor).stream()
                .map(part -> new StairPart(view(part.key()), part.moved().change() / goal.unit()))
                .toList();
    }

    private List<StairPart> money(String cause) {
        CostSamples cost = goal.run().result().cost();
        RunSettings settings = goal.settings();
        var plan = goal.run().compiled();
        if (cause.equals(StaircaseView.name(CostStaircase.Cause.ESTIMATE_SPREAD))) {
            return parts(CostStaircase.amounts(plan, settings, level, monitor), this::view);
        }
        if (cause.equals(StaircaseView.name(CostStaircase.Cause.TIME_DRIVEN))) {
            return parts(CostStaircase.delay(plan, cost, settings, level, monitor), StaircaseInside::view);
        }
        if (cause.equals(StaircaseView.name(CostStaircase.Cause.RISK))) {
            return parts(
                    CostStaircase.risks(plan, cost, settings, level, monitor),
                    risk -> view(new Key(Kind.RISK, risk, Input.MONEY)));
        }
        return List.of();
    }

    private static <K> List<StairPart> parts(List<Part<K>> parts, Function<K, InputView> view) {
        return parts.stream()
                .map(part -> new StairPart(view.apply(part.key()), part.change()))
                .toList();
    }

    private InputView view(Key key) {
        return words.of(new Input(key, names.getOrDefault(key.kind().name() + key.id(), key.id())));
    }

    private static InputView view(Delay delay) {
        return new InputView("", "delay", "", DELAYS.get(delay), MARKS.get(delay));
    }
}
