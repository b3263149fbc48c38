package app.tychon.core.scenario;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.JointSample;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Action;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.scenario.BestSets.Best;
import app.tychon.core.scenario.BestSets.Found;
import app.tychon.core.scenario.BestSets.Goal;
import app.tychon.core.scenario.BestSets.Others;
import app.tychon.core.scenario.BestSets.Tried;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/** Which responses to fund, against all sets simulated one by one. */
class BestSetsTest {
    private static final double DAY = 480;
    private static final RunSettings SETTINGS = new RunSettings(1000, 17, Sampling.LATIN, 2);

    private static Response away(double cost) {
        return new Response(
                0,
                List.of(),
                List.of(new Action(
                        "Act", cost, LocalDate.of(2027, 3, 1), LocalDate.of(2027, 3, 31), "", Action.State.PLANNED)));
    }

    /** A chain of activities, each delayed for certain by 1, 2, 3 … days unless its response is paid for. */
    private static CompiledPlan certain(double... costs) {
        PlanBuilder plan = new PlanBuilder().cost("C", "project", 10_000, 1, null);
        for (int i = 0; i < costs.length; i++) {
            plan.task("A" + i, 5);
            if (i > 0) {
                plan.link("A" + (i - 1), "A" + i);
            }
            plan.risk(threat("K" + i, 1)
                    .addsDays(new Shape.Fixed(i + 1), "A" + i)
                    .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(100 * (i + 1)), Basis.MONEY, "A" + i)
                    .response(away(costs[i]))
                    .risk());
        }
        return CompiledPlan.of(plan.build());
    }

    /** The best sets of responses alone. */
    private static List<Best> best(CompiledPlan plan, Goal goal, RunMonitor monitor) {
        return BestSets.of(
                        plan,
                        new Others(Map.of(), none -> plan),
                        SETTINGS,
                        goal,
                        0.8,
                        monitor,
                        Helpers.NONE,
                        some -> {})
                .best();
    }

    @Test
    void everyBudgetHasItsBestSet() {
        List<Best> best = best(certain(50, 50, 200), Goal.FINISH, RunMonitor.NONE);
        // 15 days and 6 of delay; K1 takes 2 off for 50, K0 and K1 3 for 100, K2 and K1 5 for 250, all 6 for 300.
        assertThat(best).extracting(Best::cost).containsExactly(0.0, 50.0, 100.0, 250.0, 300.0);
        assertThat(best).extracting(b -> b.value() / DAY).containsExactly(21.0, 19.0, 18.0, 16.0, 15.0);
        assertThat(best.get(1).options()).containsExactly("K1");
        assertThat(best.get(3).options()).containsExactlyInAnyOrder("K1", "K2");
        assertThat(best.get(4).change() / DAY).isCloseTo(-6, within(1e-9));
        assertThat(best).allMatch(b -> b.gap() == 0);
    }

    @Test
    void whatCostsMoreThanItSavesIsNotTakenForTheMoney() {
        List<Best> best = best(certain(50, 250, 200), Goal.COST, RunMonitor.NONE);
        // 600 of risk; K0 saves 50 net, K1 costs 50 more than it saves, K2 saves 100.
        assertThat(best).extracting(Best::value).containsExactly(10_600.0, 10_550.0, 10_500.0, 10_450.0);
        assertThat(best.get(3).options()).containsExactlyInAnyOrder("K0", "K2");
    }

    @Test
    void setsAreWhatTheyAreWhenSimulatedOneByOne() {
        PlanBuilder rows = new PlanBuilder();
        for (int i = 0; i < 6; i++) {
            rows.task("A" + i, 5, new Shape.Uniform(4, 9));
            if (i > 1) {
                rows.link("A" + (i - 2), "A" + i);
            }
            rows.risk(threat("K" + i, 0.3)
                    .addsDays(new Shape.Uniform(1, 2 + i), "A" + i)
                    .response(away(10 * (1 + i % 3)))
                    .risk());
        }
        CompiledPlan plan = CompiledPlan.of(rows.build());
        List<Best> best = best(plan, Goal.FINISH, RunMonitor.NONE);
        assertThat(best).hasSizeGreaterThan(4);
        for (Best one : best) {
            double least = Double.POSITIVE_INFINITY;
            for (int mask = 0; mask < 64; mask++) {
                Variation variation = plan.variation();
                double cost = 0;
                for (int i = 0; i < 6; i++) {
                    if ((mask >> i & 1) == 1) {
                        variation = variation.withRisk("K" + i, RiskSetting.AFTER_RESPONSE);
                        cost += 10 * (1 + i % 3);
                    }
                }
                if (cost <= one.cost()) {
                    least = Math.min(
                            least,
                            Sample.of(Simulation.outcomes(plan.with(variation), SETTINGS, RunMonitor.NONE)
                                            .duration())
                                    .percentile(0.8));
                }
            }
            assertThat(one.value()).isEqualTo(least);
        }
    }

    /** Responses and two other versions of the plan together, each goal, against every set simulated whole. */
    @Test
    void bestSetsOfRandomPlansAreThoseOfAllSetsSimulatedWhole() {
        RunSettings settings = new RunSettings(200, 3, Sampling.LATIN, 2);
        int moved = 0;
        for (int seed = 0; seed < 2; seed++) {
            Plan plan = promised(RandomPlans.risky(seed, 18));
            Map<String, Double> extras = Map.of("crew", 40.0, "crane", 90.0);
            List<String> options = new ArrayList<>(BestSets.responses(plan).keySet());
            options.addAll(List.of("crane", "crew"));
            for (Goal goal : Goal.values()) {
                Found found = BestSets.of(
                        CompiledPlan.of(plan),
                        new Others(extras, some -> CompiledPlan.of(sooner(plan, some))),
                        settings,
                        goal,
                        0.8,
                        RunMonitor.NONE,
                        Helpers.NONE,
                        early -> {});
                assertThat(found.complete()).isTrue();
                assertThat(found.tried()).hasSize(1 << options.size());
                // Every third, so that it does not take long; which ones those are depends on nothing that matters.
                for (int i = 0; i < found.tried().size(); i += 3) {
                    Tried one = found.tried().get(i);
                    assertThat(one.value())
                            .as(goal + " with " + one.options() + " of plan " + seed)
                            .isCloseTo(whole(plan, one.options(), settings, goal), within(1e-6));
                }
                for (Best best : found.best()) {
                    assertThat(best.value())
                            .isEqualTo(found.tried().stream()
                                    .filter(one -> one.cost() <= best.cost() + 1e-9)
                                    .mapToDouble(Tried::value)
                                    .min()
                                    .orElseThrow());
                    moved += best.change() < 0 ? 1 : 0;
                }
            }
        }
        assertThat(moved).as("budgets that buy something").isGreaterThan(6);
    }

    private static Plan promised(Plan plan) {
        CompiledPlan compiled = CompiledPlan.of(plan);
        Outcomes outcomes = Simulation.outcomes(compiled, SETTINGS, RunMonitor.NONE);
        return plan.withProject(plan.project()
                .withTargets(new Targets(
                        Optional.of(
                                Instants.toCivil(Sample.of(outcomes.finish()).percentile(0.6))),
                        Optional.of(Sample.of(outcomes.cost()).percentile(0.6)),
                        80)));
    }

    /** A crew and a crane each make some work shorter and cost a line of their own. */
    private static Plan sooner(Plan plan, Set<String> options) {
        List<CostLine> costs = new ArrayList<>(plan.costs());
        List<Activity> activities = new ArrayList<>(plan.activities());
        if (options.contains("crew")) {
            costs.add(CostLine.of("XCREW", "Crew", "project", 40));
            activities.replaceAll(a -> a.kind() == ActivityKind.TASK && a.id().endsWith("1") ? half(a) : a);
        }
        if (options.contains("crane")) {
            costs.add(CostLine.of("XCRANE", "Crane", "project", 90));
            activities.replaceAll(a -> a.kind() == ActivityKind.TASK && a.id().endsWith("2") ? half(a) : a);
        }
        return plan.edit().costs(costs).activities(activities).done();
    }

    private static Activity half(Activity activity) {
        return activity.withDuration(WorkDuration.days(1)).withEstimate(Optional.empty());
    }

    private static double whole(Plan plan, Set<String> options, RunSettings settings, Goal goal) {
        CompiledPlan compiled = CompiledPlan.of(sooner(plan, options));
        Variation variation = compiled.variation();
        for (String option : options) {
            if (!option.startsWith("cr")) {
                variation = variation.withRisk(option, RiskSetting.AFTER_RESPONSE);
            }
        }
        Outcomes outcomes = Simulation.outcomes(compiled.with(variation), settings, RunMonitor.NONE);
        Targets targets = plan.project().targets();
        return switch (goal) {
            case FINISH -> Sample.of(outcomes.duration()).percentile(0.8);
            case COST -> Sample.of(outcomes.cost()).percentile(0.8);
            case BOTH ->
                1
                        - JointSample.of(outcomes.finish(), outcomes.cost())
                                .chance(
                                        Instants.of(targets.finish().orElseThrow()),
                                        targets.cost().orElseThrow());
        };
    }

    @Test
    void bothCannotBeKeptWhereNothingIsPromised() {
        assertThatThrownBy(() -> best(certain(50), Goal.BOTH, RunMonitor.NONE))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("a target date and a budget");
    }

    @Test
    void ofManyResponsesTheSearchSaysHowFarFromTheBestItMayBe() {
        double[] costs = new double[15];
        for (int i = 0; i < costs.length; i++) {
            costs[i] = 10 + 7 * (i % 4);
        }
        List<Best> best = best(certain(costs), Goal.FINISH, RunMonitor.NONE);
        Best last = best.get(best.size() - 1);
        assertThat(last.options()).hasSize(15);
        assertThat(last.gap()).isZero();
        assertThat(best).allMatch(b -> b.gap() >= 0);
        // Days are additive here, so that the best set is known: a knapsack, found by dynamic programming.
        for (Best one : best) {
            double most = -one.change() / DAY;
            double possible = knapsack(costs, (int) one.cost());
            assertThat(most).isLessThanOrEqualTo(possible + 1e-9).isGreaterThan(0.85 * possible - 1e-9);
            assertThat(most + one.gap() / DAY).isGreaterThanOrEqualTo(possible - 1e-9);
        }
    }

    private static double knapsack(double[] costs, int budget) {
        double[] most = new double[budget + 1];
        for (int i = 0; i < costs.length; i++) {
            for (int b = budget; b >= costs[i]; b--) {
                most[b] = Math.max(most[b], most[b - (int) costs[i]] + i + 1);
            }
        }
        return most[budget];
    }

    @Test
    void stoppedItGivesTheBestOfWhatWasTried() {
        int[] told = {0};
        RunMonitor afterTheFirst = new RunMonitor() {
            @Override
            public void progress(int done, int total) {
                told[0] = done;
            }

            @Override
            public boolean stopRequested() {
                return told[0] >= 1;
            }
        };
        List<Best> best = best(certain(1, 2, 3), Goal.FINISH, afterTheFirst);
        assertThat(best).hasSize(1);
        assertThat(best.get(0).options()).isEmpty();
        told[0] = 1;
        assertThatThrownBy(() -> best(certain(1), Goal.FINISH, afterTheFirst))
                .isInstanceOf(CancellationException.class);
    }
}
