package app.tychon.brief.ground;

import app.tychon.core.model.Plan;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.BestSets;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.scenario.ScenarioOdds.Gap;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.exchange.changes.ScenarioPlan;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What could be done: the scenarios of the plan beside it, and which responses buy most. */
public final class Options {
    private static final long MOST_WORK = 4_000_000;
    private static final int SETS_BY = 1000;

    /**
     * A scenario beside the plan.
     *
     * @param plan the plan by as many futures, so that what differs is what the scenario does
     * @param gap  how far it lies from the plan at the level
     */
    public record Option(Scenario scenario, ScenarioOdds odds, ScenarioOdds plan, Gap gap) {}

    private record Asked(double level) {}

    private record Sets(double level) {}

    private Options() {}

    /** All scenarios that are not put away, in their order. */
    public static List<Option> scenarios(Ground ground, double level) {
        RunSettings settings = Futures.of(ground, MOST_WORK);
        return ground.once(new Asked(level), 2 * settings.iterations(), (plan, monitor) -> {
            ScenarioOdds base = ScenarioOdds.of(plan, ground.result(), settings.iterations());
            List<Option> options = new ArrayList<>();
            for (Scenario scenario : ground.plan().scenarios()) {
                if (!scenario.putAway()
                        && ground.scenario().filter(scenario::equals).isEmpty()) {
                    ScenarioOdds odds = odds(ground, plan, scenario, settings, monitor);
                    options.add(new Option(scenario, odds, base, odds.from(base, level)));
                }
            }
            return options;
        });
    }

    private static ScenarioOdds odds(
            Ground ground, CompiledPlan plan, Scenario scenario, RunSettings settings, RunMonitor monitor) {
        Plan laid = ScenarioPlan.of(ground.plan(), scenario).plan();
        Network network = Network.of(laid);
        return ScenarioOdds.of(
                plan.next(network, Scheduler.schedule(network)), settings, monitor.quiet(), Helpers.NONE);
    }

    /**
     * The one that can be done and gains most at the level; of several the cheapest. Nothing where none gains.
     *
     * @param among ids of those that are looked at; none for all
     */
    public static Optional<Option> best(Ground ground, double level, List<String> among) {
        return scenarios(ground, level).stream()
                .filter(option ->
                        among.isEmpty() || among.contains(option.scenario().id()))
                .filter(option -> isDoable(option.scenario()))
                .filter(option -> option.gap().duration().change() < 0)
                .min(Comparator.comparingDouble(
                                (Option option) -> option.gap().duration().change())
                        .thenComparingDouble(option -> option.gap().now()));
    }

    /** Whether it is something that can be done, and not a question such as what if there were no risks. */
    private static boolean isDoable(Scenario scenario) {
        return scenario.estimates()
                && scenario.correlation()
                && Stream.of(
                                scenario.risks().values().stream(),
                                scenario.categories().values().stream(),
                                Stream.of(scenario.others()))
                        .flatMap(switches -> switches)
                        .allMatch(how -> how == RiskSwitch.NOW || how == RiskSwitch.RESPONSE);
    }

    /** Which responses that are not decided on buy most of the finish. */
    public static BestSets.Found sets(Ground ground, double level) {
        RunSettings settings = Futures.few(ground, SETS_BY);
        return ground.once(
                new Sets(level),
                settings.iterations(),
                (plan, monitor) -> BestSets.of(
                        plan,
                        new BestSets.Others(Map.of(), options -> plan),
                        settings,
                        BestSets.Goal.FINISH,
                        level,
                        monitor,
                        Helpers.NONE,
                        some -> {}));
    }
}
