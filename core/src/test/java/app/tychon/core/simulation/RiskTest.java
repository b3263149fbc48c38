package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.RegisterEntry.Occurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.PlannedCost;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.RiskResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class RiskTest {
    private static final int N = 20_000;
    private static final double DAY = 480;
    private static final RunSettings PLAIN = new RunSettings(N, 4711, Sampling.PLAIN, 2);

    private static RunResult run(PlanBuilder plan) {
        return run(CompiledPlan.of(plan.build()));
    }

    private static RunResult run(CompiledPlan plan) {
        return Simulation.run(plan, PLAIN, RunMonitor.NONE);
    }

    private static Sample days(RunResult result) {
        return Sample.of(Arrays.stream(result.duration()).map(d -> d / DAY).toArray());
    }

    private static Map<String, Double> occurred(RunResult result) {
        return result.risks().stream().collect(Collectors.toMap(RiskResult::id, RiskResult::occurred));
    }

    /** Four standard errors of a share. */
    private static double errors(double share) {
        return 4 * Math.sqrt(share * (1 - share) / N);
    }

    @Test
    void aRiskOccursWithItsProbabilityAndAddsItsTime() {
        RunResult result = run(new PlanBuilder()
                .task("A", 100)
                .risk(threat("K", 0.3).addsDays(new Shape.Uniform(10, 20), "A").risk()));
        assertThat(occurred(result).get("K")).isCloseTo(0.3, within(errors(0.3)));
        double variance = 0.3 * (15 * 15 + 100 / 12.0) - 4.5 * 4.5;
        assertThat(days(result).mean()).isCloseTo(104.5, within(4 * Math.sqrt(variance / N)));
    }

    /** A compound Poisson sum has mean λμ and variance λ(σ² + μ²). */
    @Test
    void recurringStrikesAddUpToACompoundPoisson() {
        // From 1 March at 08:00 for 365.25 clock days at a rate of 2.5 a year.
        Recurrence.Period year = new Recurrence.Period(LocalDate.of(2027, 1, 1), LocalDate.of(2030, 12, 31));
        double lambda = 2.5 * 4;
        RunResult result = run(new PlanBuilder()
                .task("A", 1000)
                .risk(threat("K", 1)
                        .addsDays(new Shape.Uniform(2, 8), "A")
                        .recurs(new Recurrence.PerYear(2.5, Optional.of(year)))
                        .risk()));
        double variance = lambda * (3 + 25);
        assertThat(days(result).mean() - 1000).isCloseTo(lambda * 5, within(4 * Math.sqrt(variance / N)));
        assertThat(Math.pow(days(result).standardDeviation(), 2))
                .isCloseTo(variance, within(4 * variance * Math.sqrt(2.5 / N)));
    }

    @Test
    void withoutAPeriodItCanStrikeAsLongAsItsTargetLasts() {
        // 261 working days from Monday 1 March 2027, 08:00, end on Monday 28 February 2028, 17:00.
        double years = (364 + 9 / 24.0) / 365.25;
        RunResult result = run(new PlanBuilder()
                .task("A", 261)
                .risk(threat("K", 1)
                        .addsDays(new Shape.Fixed(1), "A")
                        .recurs(new Recurrence.PerYear(6, Optional.empty()))
                        .risk()));
        double lambda = 6 * years;
        assertThat(days(result).mean() - 261).isCloseTo(lambda, within(4 * Math.sqrt(lambda / N)));
        assertThat(occurred(result).get("K")).isCloseTo(1 - Math.exp(-lambda), within(1e-3));
    }

    @Test
    void aCountMayHaveAnyDiscreteShape() {
        Shape count = new Shape.Discrete(List.of(new Shape.Point(0, 0.5), new Shape.Point(3, 0.5)));
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .risk(threat("K", 1)
                        .addsDays(new Shape.Fixed(2), "A")
                        .recurs(new Recurrence.Count(count))
                        .risk()));
        assertThat(Arrays.stream(result.duration()).map(d -> d / DAY).distinct().sorted())
                .containsExactly(10.0, 16.0);
    }

    @Test
    void targetsShareADrawOrHaveOneEach() {
        Shape delay = new Shape.Uniform(0, 12);
        double shared = varianceOfTwo(Draw.SHARED, delay);
        double each = varianceOfTwo(Draw.EACH, delay);
        // The sum of two equal draws varies twice as much as that of two independent ones.
        assertThat(shared).isCloseTo(4 * 12, within(4 * 48 * Math.sqrt(2.0 / N)));
        assertThat(each).isCloseTo(2 * 12, within(4 * 24 * Math.sqrt(2.0 / N)));
    }

    private static double varianceOfTwo(Draw draw, Shape delay) {
        RunResult result = run(new PlanBuilder()
                .task("A", 20)
                .task("B", 20)
                .link("A", "B")
                .risk(threat("K", 1)
                        .impact(Effect.ADD_TIME, draw, delay, Basis.DAYS, "A", "B")
                        .risk()));
        return Math.pow(days(result).standardDeviation(), 2);
    }

    @Test
    void ofAnExclusiveGroupAtMostOneOccursEachAsOftenAsItSays() {
        PlanBuilder plan = new PlanBuilder().task("A", 10);
        double[] chances = {0.3, 0.45, 0.2};
        for (int i = 0; i < 3; i++) {
            plan.risk(threat("K" + i, chances[i])
                    .addsDays(new Shape.Fixed(Math.pow(10, i)), "A")
                    .group("either")
                    .risk());
        }
        RunResult result = run(plan);
        for (int i = 0; i < 3; i++) {
            assertThat(occurred(result).get("K" + i)).isCloseTo(chances[i], within(errors(chances[i])));
        }
        assertThat(Arrays.stream(result.duration()).map(d -> d / DAY).distinct())
                .as("never two at once")
                .containsExactlyInAnyOrder(10.0, 11.0, 20.0, 110.0);
    }

    @Test
    void aRiskMayWaitForAnotherToOccurOrNot() {
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .risk(threat("K1", 0.4).addsDays(new Shape.Fixed(1), "A").risk())
                .risk(threat("K2", 0.5)
                        .addsDays(new Shape.Fixed(10), "A")
                        .onlyIf("K1", true)
                        .risk())
                .risk(threat("K3", 0.5)
                        .addsDays(new Shape.Fixed(100), "A")
                        .onlyIf("K1", false)
                        .risk()));
        assertThat(Arrays.stream(result.duration()).map(d -> d / DAY).distinct())
                .containsExactlyInAnyOrder(10.0, 11.0, 21.0, 110.0);
        assertThat(occurred(result).get("K2")).isCloseTo(0.2, within(errors(0.2)));
        assertThat(occurred(result).get("K3")).isCloseTo(0.3, within(errors(0.3)));
    }

    @Test
    void onlyOpenRisksAreDrawnAndOccurredOnesAlwaysHappen() {
        PlanBuilder plan = new PlanBuilder().task("A", 10);
        for (Risk.State state : Risk.State.values()) {
            plan.risk(threat("K" + state, 0.5)
                    .addsDays(new Shape.Fixed(state == Risk.State.OCCURRED ? 1 : 10), "A")
                    .state(state)
                    .risk());
        }
        RunResult result = run(plan);
        assertThat(Arrays.stream(result.duration()).map(d -> d / DAY).distinct())
                .containsExactlyInAnyOrder(11.0, 21.0);
        assertThat(occurred(result)).containsOnlyKeys("KOPEN", "KOCCURRED").containsEntry("KOCCURRED", 1.0);
    }

    @Test
    void addedTimeOnABranchCountsOnce() {
        PlanBuilder plan = new PlanBuilder().branch("B", "W");
        plan.task("A1", "B", "std", WorkDuration.days(5), null)
                .task("A2", "B", "std", WorkDuration.days(5), null)
                .task("A3", "B", "std", WorkDuration.days(5), null)
                .link("A1", "A2")
                .link("A1", "A3")
                .risk(threat("K", 1).addsDays(new Shape.Fixed(4), "B").risk());
        assertThat(days(run(plan)).mean()).isCloseTo(14, within(1e-9));
    }

    @Test
    void aDurationNeverGoesBelowZero() {
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .risk(threat("K", 0.5).addsDays(new Shape.Fixed(-30), "A").risk()));
        assertThat(Arrays.stream(result.duration()).distinct()).containsExactlyInAnyOrder(0.0, 10 * DAY);
    }

    @Test
    void switchingOneRiskOffLeavesAllOthersAsTheyWere() {
        PlanBuilder plan = new PlanBuilder().task("A", 50, new Shape.Pert(40, 50, 80, 4));
        for (int i = 0; i < 5; i++) {
            plan.risk(threat("K" + i, 0.2 + 0.1 * i)
                    .addsDays(new Shape.Triangular(1, 2, 9), "A")
                    .risk());
        }
        CompiledPlan all = CompiledPlan.of(plan.build());
        CompiledPlan without = all.with(Variation.CURRENT.withRisk("K2", RiskSetting.OFF));
        Inputs inputs = Inputs.of(all);
        Input occurrence = input(inputs, Input.Kind.OCCURRENCE);
        Input impact = input(inputs, Input.Kind.IMPACT);
        double[] struck = inputs.sample(occurrence, PLAIN, N);
        double[] days = inputs.sample(impact, PLAIN, N);
        double[] one = run(all).duration();
        double[] other = run(without).duration();
        for (int i = 0; i < N; i++) {
            assertThat(one[i] - other[i]).isCloseTo(struck[i] * days[i] * DAY, within(1e-6));
        }
    }

    private static Input input(Inputs inputs, Input.Kind kind) {
        return inputs.all().stream()
                .filter(i -> i.kind() == kind && i.id().equals("K2"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aResponseChangesProbabilityAndImpactsAndCostsItsActions() {
        Response response = new Response(
                0.1,
                List.of(new Impact(
                        List.of("A"), Effect.ADD_TIME, Draw.SHARED, new Estimate(new Shape.Fixed(2), Basis.DAYS))),
                List.of(action(4000, Action.State.PLANNED), action(9000, Action.State.DROPPED)));
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .cost("C", "A", 1000, 1, null)
                .risk(threat("K", 0.4)
                        .addsDays(new Shape.Fixed(5), "A")
                        .response(response)
                        .risk())
                .build();
        RunResult current = run(CompiledPlan.of(plan));
        RunResult after = run(CompiledPlan.of(plan).with(Variation.CURRENT.withRisks(RiskSetting.AFTER_RESPONSE)));
        assertThat(days(current).max()).isEqualTo(15);
        assertThat(days(after).max()).isEqualTo(12);
        assertThat(occurred(after).get("K")).isCloseTo(0.1, within(errors(0.1)));
        assertThat(Arrays.stream(current.cost().totals()).distinct()).containsExactly(1000.0);
        assertThat(Arrays.stream(after.cost().totals()).distinct()).containsExactly(5000.0);
        for (int i = 0; i < N; i++) {
            assertThat(after.duration()[i])
                    .as("a response never makes it occur anew")
                    .isLessThanOrEqualTo(current.duration()[i]);
        }
    }

    @Test
    void aDecidedResponseIsAPartOfThePlan() {
        Response response = new Response(
                0.1,
                List.of(new Impact(
                        List.of("A"), Effect.ADD_TIME, Draw.SHARED, new Estimate(new Shape.Fixed(2), Basis.DAYS))),
                List.of(action(4000, Action.State.DONE), action(9000, Action.State.DROPPED)),
                true);
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .cost("C", "A", 1000, 1, null)
                .risk(threat("K", 0.4)
                        .addsDays(new Shape.Fixed(5), "A")
                        .response(response)
                        .risk())
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        RunResult decided = run(compiled);
        RunResult answered = run(compiled.with(Variation.CURRENT.withRisks(RiskSetting.AFTER_RESPONSE)));
        RunResult unanswered = run(compiled.with(Variation.CURRENT.withRisk("K", RiskSetting.UNANSWERED)));
        RunResult off = run(compiled.with(Variation.CURRENT.withRisk("K", RiskSetting.OFF)));
        assertThat(decided.duration()).containsExactly(answered.duration());
        assertThat(days(decided).max()).isEqualTo(12);
        assertThat(days(unanswered).max()).isEqualTo(15);
        assertThat(PlannedCost.of(Network.of(plan))).isEqualTo(5000);
        assertThat(decided.cost().planned()).isEqualTo(5000);
        assertThat(decided.cost().actions()).isZero();
        assertThat(Arrays.stream(decided.cost().totals()).distinct()).containsExactly(5000.0);
        assertThat(Arrays.stream(answered.cost().totals()).distinct()).containsExactly(5000.0);
        assertThat(Arrays.stream(off.cost().totals()).distinct()).containsExactly(5000.0);
        assertThat(Arrays.stream(unanswered.cost().totals()).distinct()).containsExactly(1000.0);
    }

    @Test
    void whatHasOccurredTakesWhatItReallyTook() {
        Risk risk = threat("K", 0.2)
                .addsDays(new Shape.Triangular(1, 5, 30), "A")
                .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Uniform(100, 900), Basis.MONEY, "C")
                .recurs(new Recurrence.PerYear(3, Optional.empty()))
                .state(Risk.State.OCCURRED)
                .risk();
        Risk known = risk.withEntry(
                RegisterEntry.NONE.withOccurred(Optional.of(new Occurrence(LocalDate.of(2027, 4, 1), 7, 321))));
        RunResult run = run(
                new PlanBuilder().task("A", 10).cost("C", "A", 1000, 1, null).risk(known));
        assertThat(days(run).min()).isEqualTo(17);
        assertThat(days(run).max()).isEqualTo(17);
        assertThat(Arrays.stream(run.cost().totals()).distinct()).containsExactly(1321.0);
    }

    private static Action action(double cost, Action.State state) {
        return new Action("Act", cost, LocalDate.of(2027, 3, 1), LocalDate.of(2027, 3, 31), "", state);
    }

    @Test
    void moneyOfRisksIsKeptApart() {
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .cost("C1", "A", 1000, 1, null)
                .cost("C2", "project", 500, 0.5, null)
                .risk(threat("K1", 0.5)
                        .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(70), Basis.MONEY, "A")
                        .risk())
                .risk(threat("K2", 1)
                        .impact(Effect.SCALE_COST, Draw.SHARED, new Shape.Fixed(1.5), Basis.FACTOR, "C1")
                        .risk()));
        assertThat(Arrays.stream(result.cost().risk()).distinct()).containsExactlyInAnyOrder(500.0, 570.0);
        assertThat(Arrays.stream(result.cost().totals()).distinct()).containsExactlyInAnyOrder(2000.0, 2070.0);
    }
}
