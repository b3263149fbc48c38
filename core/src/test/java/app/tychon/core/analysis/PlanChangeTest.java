package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.PlanChange.Step;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.HybridPlan.Kind;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** The way from one version of a plan to the next. */
class PlanChangeTest {
    private static final RunSettings SETTINGS = new RunSettings(1000, 17, Sampling.LATIN, 2);

    private static PlanBuilder usual() {
        return new PlanBuilder()
                .task("A", 20, new Shape.Triangular(18, 20, 30))
                .task("B", 20, new Shape.Triangular(18, 20, 30))
                .link("A", "B")
                .cost("C", "B", 1000, 0.5, new Shape.Uniform(0.9, 1.3))
                .risk(threat("K", 0.3).addsDays(new Shape.Fixed(5), "B").risk());
    }

    private static List<Step> steps(Plan earlier, Plan later) {
        return PlanChange.of(earlier, later, SETTINGS, 0.8, RunMonitor.NONE);
    }

    /** Which kinds moved anything. */
    private static List<Kind> moved(List<Step> steps) {
        List<Kind> moved = new ArrayList<>();
        for (int i = 1; i < steps.size(); i++) {
            Step before = steps.get(i - 1);
            Step after = steps.get(i);
            if (before.finish() != after.finish()
                    || before.duration() != after.duration()
                    || before.cost() != after.cost()) {
                moved.add(after.kind().orElseThrow());
            }
        }
        return moved;
    }

    private static List<Kind> movedBy(UnaryOperator<PlanBuilder> change) {
        return moved(steps(usual().build(), change.apply(usual()).build()));
    }

    @Test
    void eachKindOfChangeIsAStepOfItsOwn() {
        assertThat(movedBy(plan -> plan)).isEmpty();
        assertThat(movedBy(plan ->
                        plan.calendar(PlanBuilder.fiveDayWeek("std", PlanBuilder.closure("2027-04-05", "2027-04-09")))))
                .containsExactly(Kind.CALENDARS);
        assertThat(movedBy(plan -> plan.correlation(Correlation.group("R", "", List.of("A", "B"), 0.9))))
                .containsExactly(Kind.CORRELATION);
        assertThat(movedBy(plan -> plan.risk(
                        threat("K2", 0.5).addsDays(new Shape.Fixed(3), "A").risk())))
                .containsExactly(Kind.RISKS);
        assertThat(movedBy(plan -> plan.cost("C2", "A", 500, 0, null))).containsExactly(Kind.COSTS);
        assertThat(movedBy(plan -> plan.last(b -> b.withDuration(WorkDuration.days(25)))))
                .containsExactly(Kind.LOGIC);
        assertThat(movedBy(plan -> plan.last(b -> b.withEstimate(Optional.empty()))))
                .containsExactly(Kind.RANGES);
        assertThat(movedBy(plan -> plan.dataDate("2027-03-15T08:00").last(b -> b.withProgress(Progress.NONE))))
                .containsExactly(Kind.PROGRESS);
    }

    @Test
    void newWorkComesFirstAndItsRangeLater() {
        List<Kind> moved = movedBy(plan -> plan.task("N", 10, new Shape.Uniform(10, 30))
                .link("B", "N")
                .risk(threat("K2", 0.5).addsDays(new Shape.Fixed(3), "N").risk())
                .cost("C2", "N", 500, 0, null));
        assertThat(moved).containsExactly(Kind.LOGIC, Kind.RANGES, Kind.RISKS, Kind.COSTS);
    }

    @Test
    void whatHangsOnWorkThatIsGoneGoesWithIt() {
        Plan earlier = usual().task("N", 10, new Shape.Uniform(10, 30))
                .link("B", "N")
                .correlation(Correlation.group("R", "", List.of("A", "N"), 0.9))
                .risk(threat("K2", 0.5).addsDays(new Shape.Fixed(3), "N").risk())
                .cost("C2", "N", 500, 0, null)
                .build();
        List<Step> steps = steps(earlier, usual().build());
        assertThat(moved(steps)).contains(Kind.LOGIC).doesNotContain(Kind.COSTS, Kind.RISKS);
    }

    @Test
    void theLastStepIsTheLaterPlanHoweverMuchHasChanged() {
        for (int seed = 0; seed < 8; seed++) {
            Plan earlier = RandomPlans.risky(seed, 16 + seed % 5);
            Plan later = RandomPlans.risky(seed + 500, 18);
            List<Step> steps = steps(earlier, later);
            assertThat(steps).hasSize(Kind.values().length + 1);
            assertStands(steps.get(0), earlier);
            assertStands(steps.get(steps.size() - 1), later);
        }
    }

    private static void assertStands(Step step, Plan plan) {
        CompiledPlan compiled = CompiledPlan.of(plan);
        Outcomes outcomes = Simulation.outcomes(compiled, SETTINGS, RunMonitor.NONE);
        assertThat(step.finish())
                .isEqualTo(DateSample.of(outcomes.finish(), compiled.network().projectTime())
                        .percentile(0.8));
        assertThat(step.cost()).isEqualTo(Sample.of(outcomes.cost()).percentile(0.8));
    }

    @Test
    void itCanBeStopped() {
        RunMonitor atOnce = RunMonitor.until(() -> true);
        assertThatThrownBy(() -> PlanChange.of(usual().build(), usual().build(), SETTINGS, 0.8, atOnce))
                .isInstanceOf(CancellationException.class);
    }
}
