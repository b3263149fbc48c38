package app.tychon.brief.ground;

import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Driver.Swing;
import app.tychon.core.analysis.Moves;
import app.tychon.core.analysis.Scatter;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What makes the odds what they are: by how much a date or an amount that one can be sure of moves without an estimate's spread,
 * or without a risk. The inputs that swing most are looked at.
 */
public final class Reasons {
    /** Inputs that are looked at: what swings less moves nothing that could be told from chance. */
    private static final int LOOKED_AT = 24;
    /** Activities times futures that are looked at for each. */
    private static final long MOST_WORK = 2_000_000;

    /**
     * One reason.
     *
     * @param input  an estimate, a cost line, a risk
     * @param adds   to the percentile: minutes of the project's calendar, or money; negative where it helps
     * @param error  half-width of the 95 % interval
     */
    public record Reason(Input input, double adds, double error) {}

    private record Asked(String of, boolean money, double level) {}

    private Reasons() {}

    /**
     * The strongest first.
     *
     * @param of    the project, a branch or an activity
     * @param money of its cost, not of its finish
     * @param level of the percentile, 0 to 1
     */
    public static List<Reason> of(Ground ground, String of, boolean money, double level) {
        Asked asked = new Asked(of, money, level);
        return ground.once(asked, iterations(ground), (plan, monitor) -> reasons(ground, plan, asked, monitor));
    }

    /** How many futures they rest on. */
    public static int iterations(Ground ground) {
        return Futures.of(ground, MOST_WORK).iterations();
    }

    private static List<Reason> reasons(Ground ground, CompiledPlan plan, Asked asked, RunMonitor monitor) {
        RunResult result = ground.result();
        RunSettings settings = Futures.of(ground, MOST_WORK);
        Aim aim = new Aim(asked.money() ? Aim.Quantity.COST : Aim.Quantity.FINISH, asked.of());
        double price =
                Scatter.of(result.duration(), result.cost().totals()).slope().orElse(0);
        Inputs inputs = Inputs.of(plan, Math.max(0, price));
        Map<Input, Variation> without = new LinkedHashMap<>();
        strongest(inputs, settings, aim.values(plan, settings, monitor.quiet()), asked.money())
                .forEach(input -> without.put(input, inputs.without(input)));
        return Moves.of(plan, aim, settings, without, asked.level(), monitor, Helpers.NONE, some -> {}).stream()
                .map(one ->
                        new Reason(one.key(), -one.moved().change(), one.moved().error()))
                .sorted(Comparator.comparingDouble((Reason one) -> -Math.abs(one.adds())))
                .toList();
    }

    private static List<Input> strongest(Inputs inputs, RunSettings settings, double[] output, boolean money) {
        return Sensitivity.drivers(inputs, new Grain(false, false, money), settings, List.of(output)).get(0).stream()
                .filter(driver -> driver.swing().isPresent())
                .sorted(Comparator.comparingDouble((Driver driver) ->
                        -Math.abs(driver.swing().map(Swing::width).orElse(0.0))))
                .limit(LOOKED_AT)
                .map(Driver::input)
                .toList();
    }

    /** What an input is called: the name of its activity or cost line, the title of its risk. */
    public static String name(Plan plan, Input input) {
        return switch (input.kind()) {
            case RISK, OCCURRENCE, IMPACT ->
                plan.risks().stream()
                        .filter(risk -> risk.id().equals(input.id()))
                        .map(risk -> risk.title())
                        .findFirst()
                        .orElse(input.name());
            case ESTIMATE ->
                plan.activities().stream()
                        .filter(one -> one.id().equals(input.id()))
                        .map(one -> one.name())
                        .findFirst()
                        .orElse(input.name());
            case COST ->
                plan.costs().stream()
                        .filter(one -> one.id().equals(input.id()))
                        .map(one -> one.name())
                        .findFirst()
                        .orElse(input.name());
            case PRICE, GROUP -> input.name();
        };
    }
}
