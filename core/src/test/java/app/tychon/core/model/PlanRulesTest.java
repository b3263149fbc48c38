package app.tychon.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PlanRulesTest {
    private static List<String> problems(PlanBuilder plan) {
        return PlanRules.problems(plan.build()).stream().map(Problem::toString).toList();
    }

    @Test
    void aSoundPlanHasNoProblems() {
        assertThat(problems(new PlanBuilder().task("A", 1).task("B", 2).link("A", "B")))
                .isEmpty();
    }

    @Test
    void everyProblemIsReportedAtOnceWithWhereItStands() {
        PlanBuilder plan = new PlanBuilder()
                .task("A", -3)
                .task("A", 1, new Shape.Triangular(5, 3, 4))
                .task("", "nowhere", "never", WorkDuration.days(1), null)
                .link("A", "Z")
                .cost("C", "Q", 10, 1.5, new Shape.Uniform(2, 1));
        assertThat(problems(plan))
                .containsExactly(
                        "/activities/0/duration: a duration cannot be below zero; this is -3d",
                        "/activities/1/id: there is already an activity \"A\"",
                        "/activities/1/estimate/low: low 5 is above likely 3",
                        "/activities/2/id: the id is empty",
                        "/activities/2/wbs: there is no WBS branch \"nowhere\"",
                        "/activities/2/calendar: there is no calendar \"never\"",
                        "/links/0/to: there is no activity \"Z\"",
                        "/costs/0/on: there is no activity or WBS branch \"Q\"",
                        "/costs/0/fixedShare: a share lies between 0 and 1; this is 1.5",
                        "/costs/0/estimate/low: low 2 is above high 1");
    }

    @Test
    void anEmptyNameIsNoName() {
        Activity nameless = Activity.of("A", "W", "  ", ActivityKind.TASK, WorkDuration.days(1), "std");
        assertThat(ActivityRules.problems(nameless)).containsExactly(new Problem("/name", "the name is empty"));
    }

    @Test
    void aMilestoneHasNeitherDurationNorEstimate() {
        Activity milestone = Activity.of("M", "W", "Gate", ActivityKind.MILESTONE, WorkDuration.days(1), "std")
                .withEstimate(Optional.of(new Estimate(new Shape.Uniform(1, 2), Basis.DAYS)));
        assertThat(ActivityRules.problems(milestone))
                .extracting(Problem::pointer)
                .containsExactly("/duration", "/estimate");
    }

    @Test
    void anEstimateFitsWhatItIsOf() {
        Estimate negative = new Estimate(new Shape.Pert(-1, 2, 3, 0), Basis.MONEY);
        assertThat(EstimateRules.problems(negative, EstimateRules.Subject.DURATION))
                .extracting(Problem::pointer)
                .containsExactly("/weight", "/basis", "/low");
        Estimate cost = new Estimate(new Shape.Uniform(-1, 2), Basis.HOURS);
        assertThat(EstimateRules.problems(cost, EstimateRules.Subject.COST))
                .extracting(Problem::pointer)
                .containsExactly("/basis");
    }

    @Test
    void aBranchCannotLieUnderItself() {
        PlanBuilder plan = new PlanBuilder().branch("X", "Y").branch("Y", "X").branch("Z", "nothing");
        assertThat(problems(plan))
                .containsExactly(
                        "/wbs/1/parent: branch \"X\" lies under itself",
                        "/wbs/2/parent: branch \"Y\" lies under itself",
                        "/wbs/3/parent: there is no WBS branch \"nothing\"");
    }

    @Test
    void aCalendarMustLeaveTimeToWork() {
        CalendarDefinition none = new CalendarDefinition(
                "std",
                "None",
                0,
                Map.of(DayOfWeek.MONDAY, List.of(new Shift(600, 540))),
                List.of(new CalendarException(
                        LocalDate.of(2027, 5, 2), LocalDate.of(2027, 5, 1), "Backwards", List.of())));
        assertThat(problems(new PlanBuilder().calendar(none)))
                .containsExactly(
                        "/calendars/0/hoursPerDay: hours per day must be above 0 and at most 24; this is 0",
                        "/calendars/0/week/mon/0: the shift ends before it starts",
                        "/calendars/0/week: the ordinary week has no working time, so no work would ever finish",
                        "/calendars/0/exceptions/0/to: ends on 2027-05-01, before it starts on 2027-05-02");
    }

    @Test
    void durationsAreReadAndWrittenAsText() {
        assertThat(WorkDuration.parse("12d")).contains(WorkDuration.days(12));
        assertThat(WorkDuration.parse(" 1.5W ")).contains(new WorkDuration(1.5, DurationUnit.WEEKS));
        assertThat(WorkDuration.parse("30min")).contains(new WorkDuration(30, DurationUnit.MINUTES));
        assertThat(WorkDuration.parse("3ed").map(WorkDuration::toString)).contains("3ed");
        assertThat(WorkDuration.parse("-2h").map(WorkDuration::toString)).contains("-2h");
        for (String nonsense : List.of("", "d", "12", "twelve d", "1e400d", "12 days or so")) {
            assertThat(WorkDuration.parse(nonsense)).as(nonsense).isEmpty();
        }
    }
}
