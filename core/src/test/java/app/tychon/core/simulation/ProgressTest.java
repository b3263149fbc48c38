package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.Sample;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What is done is history; what is left starts at the data date. The week is one of five days of eight hours. */
class ProgressTest {
    private static final double DAY = 480;

    private static RunResult run(Plan plan) {
        return Simulation.run(CompiledPlan.of(plan), new RunSettings(4000, 3, Sampling.LATIN, 2), RunMonitor.NONE);
    }

    private static Map<String, ScheduledActivity> dates(Plan plan) {
        return Scheduler.schedule(Network.of(plan)).activities().stream()
                .collect(Collectors.toMap(ScheduledActivity::id, Function.identity()));
    }

    private static LocalDateTime date(double instant) {
        return Instants.toCivil(instant);
    }

    private static PlanBuilder chain() {
        // Data date: the end of Friday 12 March. A took until Thursday; B began on Friday; C waits.
        return new PlanBuilder()
                .dataDate("2027-03-12T17:00")
                .task("A", 8, new Shape.Uniform(6, 12))
                .actual("2027-03-02T10:00", "2027-03-11T15:00", null)
                .task("B", 5, new Shape.Uniform(4, 8))
                .actual("2027-03-12T08:00", null, null)
                .task("C", 2, new Shape.Uniform(1, 4))
                .link("A", "B")
                .link("B", "C");
    }

    @Test
    void finishedWorkIsNotSampledAndStartedWorkOnlyForWhatRemains() {
        RunResult result = run(chain().build());
        ActivityResult a = result.activities().get(0);
        assertThat(a.sdDuration()).isZero();
        assertThat(date(a.meanStart())).isEqualTo(LocalDateTime.parse("2027-03-02T10:00"));
        assertThat(date(a.meanFinish())).isEqualTo(LocalDateTime.parse("2027-03-11T15:00"));
        ActivityResult b = result.activities().get(1);
        // One day of five is done; the estimate of 4 to 8 days is scaled to the four that remain.
        assertThat(date(b.meanStart())).isEqualTo(LocalDateTime.parse("2027-03-12T08:00"));
        assertThat(b.meanDuration() / DAY).isCloseTo(1 + 4 * 6 / 5.0, within(1e-3));
        assertThat(b.sdDuration() / DAY).isCloseTo(4 / Math.sqrt(12) * 0.8, within(1e-2));
        assertThat(Arrays.stream(result.activities().get(2).start()).min().orElse(0))
                .isGreaterThan(Instants.of(LocalDateTime.parse("2027-03-12T17:00")));
    }

    @Test
    void whatRemainsMayBeSaid() {
        Plan plan = chain().build();
        Activity b = plan.activities().get(1);
        Plan said = plan.withActivities(plan.activities().stream()
                .map(a -> a.id().equals("B")
                        ? b.withProgress(
                                new Progress(b.progress().actualStart(), Optional.empty(), WorkDuration.parse("2d")))
                        : a)
                .toList());
        assertThat(date(dates(said).get("B").earlyFinish())).isEqualTo(LocalDateTime.parse("2027-03-16T17:00"));
        assertThat(date(dates(plan).get("B").earlyFinish())).isEqualTo(LocalDateTime.parse("2027-03-18T17:00"));
    }

    /** Retained logic: what is under way out of sequence goes on only when its predecessor is done. */
    @Test
    void outOfSequenceWorkWaitsForItsPredecessor() {
        Plan plan = new PlanBuilder()
                .dataDate("2027-03-03T08:00")
                .task("A", 5)
                .task("B", 4)
                .actual("2027-03-01T08:00", null, "2d")
                .link("A", "B")
                .build();
        Map<String, ScheduledActivity> dates = dates(plan);
        assertThat(date(dates.get("A").earlyFinish())).isEqualTo(LocalDateTime.parse("2027-03-09T17:00"));
        assertThat(date(dates.get("B").earlyStart())).isEqualTo(LocalDateTime.parse("2027-03-01T08:00"));
        assertThat(date(dates.get("B").earlyFinish())).isEqualTo(LocalDateTime.parse("2027-03-11T17:00"));
        assertThat(dates.get("A").onLongestPath()).isTrue();
        assertThat(dates.get("B").onLongestPath()).isTrue();
        assertThat(dates.get("B").totalFloat()).isZero();
    }

    @Test
    void risksDoNotReachWhatIsDone() {
        RunResult result = run(chain().risk(
                        threat("K", 1).addsDays(new Shape.Fixed(3), "A", "B").risk())
                .build());
        assertThat(result.activities().get(0).sdDuration()).isZero();
        assertThat(result.activities().get(1).meanDuration() / DAY).isCloseTo(1 + 4 * 6 / 5.0 + 3, within(1e-3));
    }

    @Test
    void aGradeOfABranchHoldsForAllBeneathThatHaveNoneOfTheirOwn() {
        RunResult result = run(new PlanBuilder()
                .grade("wide", new Shape.Triangular(0.8, 1, 2.4))
                .grade("narrow", new Shape.Uniform(0.9, 1.1))
                .graded("W", "wide")
                .branch("B", "W")
                .task("A", "B", "std", WorkDuration.days(10), null)
                .task("C", 10)
                .last(a -> a.withGrade(Optional.of("narrow")))
                .task("D", 10, new Shape.Fixed(12))
                .milestone("M")
                .build());
        assertThat(result.activities().get(0).meanDuration() / DAY).isCloseTo(14, within(0.02));
        assertThat(result.activities().get(1).sdDuration() / DAY).isCloseTo(2 / Math.sqrt(12), within(1e-3));
        assertThat(result.activities().get(2).meanDuration() / DAY).isCloseTo(12, within(1e-9));
        assertThat(result.activities().get(3).meanDuration()).isZero();
    }

    @Test
    void costLinesInheritGradesAndWhatIsDoneCostsWhatItWasPlannedTo() {
        PlanBuilder plan = chain().grade("G", new Shape.Uniform(0.5, 1.5)).graded("W", "G");
        plan.cost("C1", "A", 1000, 1, null).cost("C2", "C", 1000, 1, null);
        RunResult result = run(plan.build());
        Sample total = Sample.of(result.cost().totals());
        assertThat(total.mean()).isCloseTo(2000, within(1.0));
        assertThat(total.min()).isGreaterThanOrEqualTo(1500);
        assertThat(result.activities().get(0).meanCost()).isCloseTo(1000, within(1e-9));
    }
}
