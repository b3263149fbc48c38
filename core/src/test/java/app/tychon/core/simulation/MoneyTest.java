package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Response;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.Replay.ReplayedActivity;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class MoneyTest {
    private static final double DAY = 480;
    private static final RunSettings SETTINGS = new RunSettings(1000, 5, Sampling.LATIN, 2);

    private static RunResult run(CompiledPlan plan) {
        return Simulation.run(plan, SETTINGS, RunMonitor.NONE);
    }

    @Test
    void aResourcePaidByTheDayFollowsTheSampledDuration() {
        RunResult result = run(CompiledPlan.of(new PlanBuilder()
                .task("A", 10, new Shape.Triangular(8, 10, 18))
                .resource("crew", 1400, Resource.Per.DAY)
                .resource("pump", 60, Resource.Per.HOUR)
                .resource("pipe", 25, Resource.Per.UNIT)
                .assign("A", "crew", 0.5)
                .assign("A", "pump", 2)
                .assign("A", "pipe", 300)
                .build()));
        assertThat(result.cost().planned()).isEqualTo(10 * 700 + 80 * 120 + 7500);
        double[] totals = result.cost().totals();
        for (int i = 0; i < totals.length; i++) {
            double days = result.duration()[i] / DAY;
            assertThat(totals[i]).isCloseTo(days * (700 + 8 * 120) + 7500, within(1e-6));
        }
    }

    /** A crane hired from the first lift to the end of the last, over whatever lies between. */
    @Test
    void aHammockCarriesHireForAsLongAsItLasts() {
        RunResult result = run(CompiledPlan.of(new PlanBuilder()
                .task("A", 5, new Shape.Uniform(4, 8))
                .task("B", 10, new Shape.Uniform(8, 16))
                .task("C", 3)
                .link("A", "B")
                .link("B", "C")
                .hammock("H", "A", "B")
                .cost("Crane", "H", 15_000, 0.2, null)
                .build()));
        double[] totals = result.cost().totals();
        for (int i = 0; i < totals.length; i++) {
            double days = result.duration()[i] / DAY - 3;
            assertThat(totals[i]).isCloseTo(3000 + 12_000 * days / 15, within(1e-6));
        }
        ActivityResult hammock = result.activities().stream()
                .filter(a -> a.id().equals("H"))
                .findFirst()
                .orElseThrow();
        assertThat(hammock.criticality()).as("it drives nothing").isZero();
        assertThat(hammock.meanCost()).isCloseTo(Arrays.stream(totals).average().orElse(0), within(1e-6));
    }

    @Test
    void partsAddUpToTheTotalExactlyAndReplayRepeatsThem() {
        for (int seed = 0; seed < 30; seed++) {
            CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(seed, 25))
                    .with(Variation.CURRENT.withRisks(RiskSetting.AFTER_RESPONSE));
            RunResult result = run(plan);
            double[] totals = result.cost().totals();
            for (int i = 0; i < totals.length; i++) {
                assertThat(totals[i])
                        .isEqualTo(result.cost().planned()
                                + result.cost().spread()[i]
                                + result.cost().timeDriven()[i]
                                + result.cost().risk()[i]
                                + result.cost().actions());
            }
            // All but what stands on the whole project lies beneath the branch at the top.
            Output top = output(result, "W");
            for (int i = 0; i < 20; i++) {
                Replay replay = Replay.of(plan, SETTINGS, i);
                double onActivities = replay.activities().stream()
                        .mapToDouble(ReplayedActivity::cost)
                        .sum();
                assertThat(replay.cost().total()).isCloseTo(totals[i], within(1e-6));
                assertThat(top.cost()[i]).isBetween(onActivities - 1e-6, totals[i]);
            }
        }
    }

    private static Output output(RunResult result, String id) {
        return result.outputs().stream()
                .filter(o -> o.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void branchesAndWatchedActivitiesKeepAllTheirValues() {
        RunResult result = run(CompiledPlan.of(new PlanBuilder()
                .branch("B", "W")
                .task("A", 5, new Shape.Uniform(4, 8))
                .last(a -> a.withWatch(true))
                .task("M0", "B", "std", WorkDuration.days(4), new Shape.Uniform(2, 6))
                .milestone("M")
                .link("A", "M0")
                .link("M0", "M")
                .cost("C1", "A", 500, 0, null)
                .cost("C2", "B", 900, 1, null)
                .build()));
        assertThat(result.outputs()).extracting(Output::id).containsExactly("W", "B", "A", "M");
        Output a = output(result, "A");
        Output b = output(result, "B");
        Output whole = output(result, "W");
        for (int i = 0; i < 1000; i++) {
            assertThat(a.cost()[i]).isCloseTo(500 * a.duration()[i] / (5 * DAY), within(1e-9));
            assertThat(whole.cost()[i]).isCloseTo(a.cost()[i] + 900, within(1e-9));
            assertThat(b.finish()[i])
                    .isEqualTo(result.finish()[i])
                    .isEqualTo(output(result, "M").finish()[i]);
            assertThat(whole.start()[i]).isEqualTo(result.start()[i]).isEqualTo(a.start()[i]);
            assertThat(a.duration()[i] + b.duration()[i]).isCloseTo(result.duration()[i], within(1e-6));
        }
    }

    @Test
    void cashFlowOfEveryIterationAddsUpToItsCost() {
        Response response = new Response(
                0.1,
                List.of(),
                List.of(new Action(
                        "Act", 620, LocalDate.of(2027, 3, 1), LocalDate.of(2027, 4, 30), "", Action.State.PLANNED)));
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                        .task("A", 30, new Shape.Triangular(20, 30, 60))
                        .task("B", 20, new Shape.Pert(15, 20, 40, 4))
                        .link("A", "B", LinkType.FS, "0d")
                        .cost("C1", "A", 3000, 0, null)
                        .cost("C2", "project", 5000, 0.5, new Shape.Uniform(0.8, 1.4))
                        .risk(threat("K", 0.4)
                                .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(200), Basis.MONEY, "B")
                                .response(response)
                                .risk())
                        .build())
                .with(Variation.CURRENT.withRisks(RiskSetting.AFTER_RESPONSE));
        RunResult result = run(plan);
        double[] totals = result.cost().totals();
        for (Period period : Period.values()) {
            CashFlow flow = CashFlow.of(plan, result, period);
            double[][] sums = flow.cumulative().amounts();
            for (int i = 0; i < totals.length; i++) {
                assertThat(sums[sums.length - 1][i]).isCloseTo(totals[i], within(1e-6));
            }
            assertThat(Arrays.stream(flow.planned()).sum()).isCloseTo(8000, within(1e-6));
        }
        CashFlow months = CashFlow.of(plan, result, Period.MONTH);
        assertThat(months.starts().get(0)).isEqualTo(LocalDate.of(2027, 3, 1));
        // 23 of the 30 planned days of A lie in March, and 23 of the project's 50.
        assertThat(months.planned()[0]).isCloseTo(3000 * 23 / 30.0 + 5000 * 23 / 50.0, within(1e-6));
    }

    @Test
    void moneyMayFallDueAtTheStartOrTheFinish() {
        for (CostTiming timing : CostTiming.values()) {
            Plan plain = new PlanBuilder().task("A", 40).build();
            CostLine line = CostLine.of("C", "Fee", "A", 100).withTiming(timing);
            CompiledPlan plan = CompiledPlan.of(plain.withCosts(List.of(line)));
            double[] months = CashFlow.of(plan, run(plan), Period.MONTH).planned();
            double inMarch =
                    switch (timing) {
                        case START -> 100;
                        case FINISH -> 0;
                        case EVEN -> 100 * 23 / 40.0;
                    };
            assertThat(months).hasSize(2);
            assertThat(months[0]).isCloseTo(inMarch, within(1e-9));
            assertThat(months[1]).isCloseTo(100 - inMarch, within(1e-9));
        }
    }
}
