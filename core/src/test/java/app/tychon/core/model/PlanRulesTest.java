package app.tychon.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.PlanBuilder;
import app.tychon.core.Risks;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.schedule.Network;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
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
    void aLevelOfConfidenceIsAWholePercentage() {
        Plan plan = new PlanBuilder().task("A", 1).build();
        for (int level : new int[] {0, 100, -5}) {
            Plan unsure = plan.edit()
                    .project(plan.project().withTargets(new Targets(Optional.empty(), Optional.empty(), level)))
                    .done();
            assertThat(PlanRules.problems(unsure))
                    .extracting(Problem::pointer)
                    .containsExactly("/project/targets/confidence");
        }
        assertThat(Targets.NONE.level()).isEqualTo(0.8);
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

    @Test
    void progressMustBePossible() {
        assertThat(problems(new PlanBuilder().task("A", 5).actual("2027-03-01T08:00", null, null)))
                .containsExactly("/activities/0/actualStart: there is progress, but the project has no data date");
        assertThat(problems(new PlanBuilder()
                        .dataDate("2027-03-05T17:00")
                        .task("A", 5)
                        .actual("2027-03-09T08:00", "2027-03-02T17:00", "2d")
                        .milestone("M")
                        .actual("2027-03-02T08:00", null, null)
                        .task("B", 5)
                        .last(b -> b.withProgress(
                                new Progress(Optional.empty(), Optional.empty(), WorkDuration.parse("1ed"))))))
                .containsExactly(
                        "/activities/0/actualStart: 2027-03-09T08:00 is after the data date, 2027-03-05T17:00",
                        "/activities/0/actualFinish: 2027-03-02T17:00 is before the start, 2027-03-09T08:00",
                        "/activities/0/remaining: what has finished has nothing remaining; this is 2d",
                        "/activities/1/actualFinish: is missing: a milestone that has started has been reached",
                        "/activities/2/remaining: work that has not started has all of its duration before it");
    }

    @Test
    void aHammockNeedsWhatOpensAndClosesItAndMayNotLieInItself() {
        PlanBuilder open = new PlanBuilder().task("A", 5).hammock("H", "A", "A");
        assertThat(problems(open)).isEmpty();
        Plan none = open.build().withLinks(List.of());
        assertThat(PlanRules.problems(none))
                .extracting(Problem::message)
                .containsExactly(
                        "nothing opens this hammock: link an activity to its start, such as with SS",
                        "nothing closes this hammock: link an activity to its finish, such as with FF");
        PlanBuilder twice =
                new PlanBuilder().task("A", 5).hammock("H1", "A", "H2").hammock("H2", "A", "H1");
        assertThatThrownBy(() -> Network.of(twice.build()))
                .hasMessageContaining("a hammock lies inside its own span: H");
        assertThat(problems(new PlanBuilder()
                        .dataDate("2027-03-05T17:00")
                        .task("A", 5)
                        .hammock("H", "A", "A")
                        .actual("2027-03-01T08:00", null, null)))
                .containsExactly(
                        "/activities/1: a hammock takes its dates from what opens and closes it, so it has no progress of its own");
    }

    @Test
    void correlationsMustBeAskedSoundly() {
        PlanBuilder plan = new PlanBuilder().task("A", 5).task("B", 5);
        List<String> two = List.of("A", "B");
        OptionalDouble no = OptionalDouble.empty();
        plan.correlation(Correlation.group("R1", "", List.of("A", "Z"), 1.2))
                .correlation(new Correlation("R2", "", two, no, List.of(List.of(1.0), List.of(0.5, 0.9))))
                .correlation(new Correlation("R3", "", two, no, List.of(List.of(1.0))))
                .correlation(new Correlation("R4", "", two, no, List.of()))
                .correlation(Correlation.group("R5", "", two, 0.5))
                .correlation(Correlation.group("R6", "", two, 0.4));
        assertThat(problems(plan))
                .containsExactly(
                        "/correlations/0/members/1: there is no activity or cost line \"Z\"",
                        "/correlations/0/coefficient: a coefficient lies between -1 and 1; this is 1.2",
                        "/correlations/1/matrix/1/1: the diagonal is 1; this is 0.9",
                        "/correlations/2/matrix: needs a row for each of the 2 members; there are 1",
                        "/correlations/3: needs either one coefficient or a matrix",
                        "/correlations/5: asks 0.4 of A and B, of whom 0.5 is asked elsewhere");
    }

    @Test
    void risksMustBePossible() {
        PlanBuilder plan = new PlanBuilder().task("A", 5).hammock("H", "A", "A").cost("C", "A", 10, 1, null);
        plan.risk(Risks.threat("K1", 1.5)
                        .addsDays(new Shape.Fixed(1), "Q", "C", "H")
                        .risk())
                .risk(Risks.threat("K2", 0.5)
                        .impact(Effect.SCALE_TIME, Draw.SHARED, new Shape.Uniform(-1, 2), Basis.DAYS, "A")
                        .recurs(new Recurrence.Count(new Shape.Normal(3, 1)))
                        .risk())
                .risk(Risks.threat("K3", 0.7).group("g").onlyIf("K4", true).risk())
                .risk(Risks.threat("K4", 0.6).group("g").onlyIf("K3", true).risk())
                .risk(Risks.threat("K5", 0.6).onlyIf("K9", true).risk());
        assertThat(problems(plan))
                .containsExactlyInAnyOrder(
                        "/risks/0/probability: a probability lies between 0 and 1; this is 1.5",
                        "/risks/0/impacts/0/on/0: there is no activity, WBS branch, cost line or resource \"Q\"",
                        "/risks/0/impacts/0/on/1: \"C\" is a cost line, which takes no time",
                        "/risks/0/impacts/0/on/2: \"H\" is a hammock, which has no duration of its own",
                        "/risks/1/impacts/0/distribution/basis: this effect is counted in a factor",
                        "/risks/1/impacts/0/distribution: a factor cannot be below zero; this is -1",
                        "/risks/1/recurrence/count: a number of times lies between 0 and 1000; this goes from no bound to no bound",
                        "/risks/2/onlyIf/risk: these risks wait for each other: K3 → K4 → K3",
                        "/risks/3/onlyIf/risk: these risks wait for each other: K4 → K3 → K4",
                        "/risks/4/onlyIf/risk: there is no risk \"K9\"",
                        "/risks/2/exclusiveGroup: the probabilities in the exclusive group \"g\" add up to 1.3, more than 1: K3, K4");
    }

    @Test
    void gradesResourcesAndIdsOfTargetsMustBeKnownAndTheirOwn() {
        PlanBuilder plan = new PlanBuilder()
                .graded("W", "none")
                .task("A", 5)
                .cost("A", "W", 10, 1, null)
                .resource("crew", 10, Resource.Per.DAY)
                .assign("A", "crew", -1)
                .assign("A", "crew", 1)
                .assign("Z", "plant", 1);
        assertThat(problems(plan))
                .containsExactly(
                        "/wbs/0/grade: there is no grade \"none\"",
                        "/assignments/0/units: units cannot be below zero; this is -1",
                        "/assignments/1: \"crew\" is assigned to \"A\" twice",
                        "/assignments/2/activity: there is no activity \"Z\"",
                        "/assignments/2/resource: there is no resource \"plant\"",
                        "/costs/0/id: \"A\" is already the id of an activity");
    }
}
