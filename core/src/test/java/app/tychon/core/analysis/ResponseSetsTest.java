package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.analysis.ResponseSets.Best;
import app.tychon.core.analysis.ResponseSets.Goal;
import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Response;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/** Which responses to fund, against all sets simulated one by one. */
class ResponseSetsTest {
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

    @Test
    void everyBudgetHasItsBestSet() {
        List<Best> best = ResponseSets.of(certain(50, 50, 200), SETTINGS, Goal.FINISH, 0.8, RunMonitor.NONE);
        // 15 days and 6 of delay; K1 takes 2 off for 50, K0 and K1 3 for 100, K2 and K1 5 for 250, all 6 for 300.
        assertThat(best).extracting(Best::cost).containsExactly(0.0, 50.0, 100.0, 250.0, 300.0);
        assertThat(best).extracting(b -> b.value() / DAY).containsExactly(21.0, 19.0, 18.0, 16.0, 15.0);
        assertThat(best.get(1).risks()).containsExactly("K1");
        assertThat(best.get(3).risks()).containsExactlyInAnyOrder("K1", "K2");
        assertThat(best.get(4).change() / DAY).isCloseTo(-6, within(1e-9));
        assertThat(best).allMatch(b -> b.gap() == 0);
    }

    @Test
    void whatCostsMoreThanItSavesIsNotTakenForTheMoney() {
        List<Best> best = ResponseSets.of(certain(50, 250, 200), SETTINGS, Goal.COST, 0.8, RunMonitor.NONE);
        // 600 of risk; K0 saves 50 net, K1 costs 50 more than it saves, K2 saves 100.
        assertThat(best).extracting(Best::value).containsExactly(10_600.0, 10_550.0, 10_500.0, 10_450.0);
        assertThat(best.get(3).risks()).containsExactlyInAnyOrder("K0", "K2");
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
        List<Best> best = ResponseSets.of(plan, SETTINGS, Goal.FINISH, 0.8, RunMonitor.NONE);
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

    @Test
    void ofManyResponsesTheSearchSaysHowFarFromTheBestItMayBe() {
        double[] costs = new double[15];
        for (int i = 0; i < costs.length; i++) {
            costs[i] = 10 + 7 * (i % 4);
        }
        List<Best> best = ResponseSets.of(certain(costs), SETTINGS, Goal.FINISH, 0.8, RunMonitor.NONE);
        Best last = best.get(best.size() - 1);
        assertThat(last.risks()).hasSize(15);
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
        List<Best> best = ResponseSets.of(certain(1, 2, 3), SETTINGS, Goal.FINISH, 0.8, afterTheFirst);
        assertThat(best).hasSize(1);
        assertThat(best.get(0).risks()).isEmpty();
        told[0] = 1;
        assertThatThrownBy(() -> ResponseSets.of(certain(1), SETTINGS, Goal.FINISH, 0.8, afterTheFirst))
                .isInstanceOf(CancellationException.class);
    }
}
