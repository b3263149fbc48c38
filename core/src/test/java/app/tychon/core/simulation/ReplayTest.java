package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.Risks;
import app.tychon.core.WholePlan;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Replay.ReplayedActivity;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.RiskResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Any iteration can be had again, alone, whoever computed the run and in whatever order the rows stood. */
class ReplayTest {
    private static RunSettings settings(int iterations, int threads, Sampling sampling) {
        return new RunSettings(iterations, 77, sampling, threads);
    }

    private static RunResult run(Plan plan, int iterations, int threads) {
        return Simulation.run(CompiledPlan.of(plan), settings(iterations, threads, Sampling.LATIN), RunMonitor.NONE);
    }

    /** A plan with risks whose first activities also move together. */
    private static Plan plan(int seed) {
        Plan plan = RandomPlans.risky(seed, 30);
        return plan.edit()
                .correlations(List.of(
                        Correlation.group("G", "", List.of("A20", "A21", "A22"), 0.6),
                        Correlation.group("H", "", List.of("A22", "A23", "C1"), 0.5)))
                .done();
    }

    @Test
    void aReplayedIterationIsThatOfTheRun() {
        for (int seed = 0; seed < 12; seed++) {
            for (Sampling sampling : Sampling.values()) {
                CompiledPlan plan = CompiledPlan.of(plan(seed));
                RunSettings settings = settings(1730, 3, sampling);
                RunResult run = Simulation.run(plan, settings, RunMonitor.NONE);
                double[] totals = run.cost().totals();
                for (int iteration : new int[] {0, 3, 499, 500, 777, 1503, 1729}) {
                    Replay replay = Replay.of(plan, settings, iteration);
                    assertThat(replay.finish()).isEqualTo(run.finish()[iteration]);
                    assertThat(replay.duration()).isEqualTo(run.duration()[iteration]);
                    assertThat(replay.cost().total()).isEqualTo(totals[iteration]);
                }
            }
        }
    }

    @Test
    void risksStrikeInReplaysAsOftenAsTheRunSays() {
        CompiledPlan plan = CompiledPlan.of(plan(3));
        RunSettings settings = settings(400, 1, Sampling.LATIN);
        RunResult run = Simulation.run(plan, settings, RunMonitor.NONE);
        Map<String, Integer> struck = new HashMap<>();
        for (int i = 0; i < 400; i++) {
            Replay.of(plan, settings, i).risks().forEach(r -> struck.merge(r.id(), 1, Integer::sum));
        }
        for (RiskResult risk : run.risks()) {
            assertThat(struck.getOrDefault(risk.id(), 0) / 400.0).isEqualTo(risk.occurred());
        }
    }

    @Test
    void itsPathRunsOverCriticalActivitiesToTheFinish() {
        for (int seed = 0; seed < 30; seed++) {
            CompiledPlan plan = CompiledPlan.of(plan(seed));
            Replay replay = Replay.of(plan, settings(10, 1, Sampling.PLAIN), 7);
            Map<String, ReplayedActivity> rows = new HashMap<>();
            replay.activities().forEach(row -> rows.put(row.id(), row));
            assertThat(replay.path()).isNotEmpty().allMatch(id -> rows.get(id).critical());
            String last = replay.path().get(replay.path().size() - 1);
            assertThat(rows.get(last).finish()).isCloseTo(replay.finish(), within(1e-6));
        }
    }

    @Test
    void whatNoRiskTouchesIsUndisturbed() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 5, new Shape.Uniform(4, 9))
                .task("B", 5, new Shape.Uniform(4, 9))
                .risk(Risks.threat("K", 1).addsDays(new Shape.Fixed(2), "B").risk())
                .build());
        Replay replay = Replay.of(plan, settings(100, 1, Sampling.LATIN), 42);
        ReplayedActivity a = replay.activities().get(0);
        ReplayedActivity b = replay.activities().get(1);
        assertThat(a.duration()).isEqualTo(a.undisturbed());
        assertThat(b.duration() - b.undisturbed()).isCloseTo(2 * 480, within(1e-9));
        assertThatThrownBy(() -> Replay.of(plan, settings(100, 1, Sampling.LATIN), -1))
                .hasMessageContaining("no iteration -1");
    }

    @Test
    void threadsAndOrderOfRowsChangeNoBitOfARunWithRisksAndCorrelation() {
        Plan plan = plan(5);
        RunResult one = run(plan, 2300, 1);
        RunResult four = run(plan, 2300, 4);
        assertThat(four).usingRecursiveComparison().ignoringFields("settings").isEqualTo(one);
        List<Activity> rows = new ArrayList<>(plan.activities());
        List<Risk> risks = new ArrayList<>(plan.risks());
        Collections.shuffle(rows, new Random(2));
        Collections.shuffle(risks, new Random(3));
        RunResult other = run(plan.withActivities(rows).withRisks(risks), 2300, 2);
        assertThat(other.finish()).isEqualTo(one.finish());
        assertThat(other.cost().totals()).isEqualTo(one.cost().totals());
        assertThat(other.paths()).isEqualTo(one.paths());
        assertThat(other.risks()).isEqualTo(one.risks());
    }

    @Test
    void aLongerRunBeginsWithTheShorterOne() {
        Plan plan = plan(6);
        assertThat(run(plan, 2000, 2).cost().totals())
                .startsWith(run(plan, 1000, 1).cost().totals());
    }

    @Test
    void outcomesAreThoseOfTheWholeRun() {
        CompiledPlan plan = CompiledPlan.of(plan(7));
        RunResult run = Simulation.run(plan, settings(1200, 2, Sampling.LATIN), RunMonitor.NONE);
        Outcomes outcomes = Simulation.outcomes(plan, settings(1200, 3, Sampling.LATIN), RunMonitor.NONE);
        assertThat(outcomes.finish()).isEqualTo(run.finish());
        assertThat(outcomes.duration()).isEqualTo(run.duration());
        assertThat(outcomes.cost()).isEqualTo(run.cost().totals());
    }

    @Test
    void theCertainVariationIsThePlan() {
        for (int seed = 0; seed < 40; seed++) {
            CompiledPlan plan = CompiledPlan.of(plan(seed)).with(Variation.CERTAIN);
            Outcomes outcomes = Simulation.outcomes(plan, settings(4, 1, Sampling.PLAIN), RunMonitor.NONE);
            for (double finish : outcomes.finish()) {
                assertThat(finish).isCloseTo(plan.schedule().finish(), within(1e-6));
            }
        }
    }

    @Test
    void everyStreamIsItsOwn() {
        Set<Long> streams = new HashSet<>();
        RandomStream first = RandomStream.of(RandomStream.Role.IMPACT, "K1");
        IntStream.range(0, 1000).forEach(n -> streams.add(first.nth(n).id()));
        for (RandomStream.Role role : RandomStream.Role.values()) {
            streams.add(RandomStream.of(role, "K2").id());
        }
        assertThat(streams).hasSize(1000 + RandomStream.Role.values().length);
        assertThat(first.nth(0)).isEqualTo(first);
    }

    @Test
    void aSmallPlanWithSomethingOfEveryKindSimulates() {
        RunResult run = run(WholePlan.plan(), 1000, 2);
        assertThat(run.risks()).hasSize(3);
        IntPredicate later = i -> run.finish()[i] > run.planFinish();
        assertThat(IntStream.range(0, 1000).filter(later).count()).isBetween(700L, 1000L);
        assertThat(run.outputs()).extracting(Output::id).containsExactly("W", "A");
    }
}
