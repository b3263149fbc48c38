package app.tychon.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import app.tychon.core.PlanBuilder;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;

class SchedulerTest {
    private static Schedule schedule(PlanBuilder plan) {
        return Scheduler.schedule(Network.of(plan.build()));
    }

    private static ScheduledActivity row(Schedule schedule, String id) {
        return schedule.activities().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static void assertDates(ScheduledActivity row, String start, String finish) {
        assertThat(Instants.toCivil(row.earlyStart())).isEqualTo(start);
        assertThat(Instants.toCivil(row.earlyFinish())).isEqualTo(finish);
    }

    @Test
    void twoPathsOfWhichTheLongerDrives() {
        Schedule schedule = schedule(new PlanBuilder()
                .task("A", 2)
                .task("long", 10)
                .task("short", 4)
                .task("end", 1)
                .link("A", "long")
                .link("A", "short")
                .link("long", "end")
                .link("short", "end"));
        assertDates(row(schedule, "A"), "2027-03-01T08:00", "2027-03-02T17:00");
        assertDates(row(schedule, "long"), "2027-03-03T08:00", "2027-03-16T17:00");
        assertDates(row(schedule, "end"), "2027-03-17T08:00", "2027-03-17T17:00");
        assertThat(row(schedule, "long").totalFloat()).isZero();
        assertThat(row(schedule, "short").totalFloat()).isEqualTo(6 * 480);
        assertThat(row(schedule, "short").freeFloat()).isEqualTo(6 * 480);
        assertThat(row(schedule, "long").onLongestPath()).isTrue();
        assertThat(row(schedule, "short").onLongestPath()).isFalse();
        assertThat(Instants.toCivil(row(schedule, "short").lateFinish())).isEqualTo("2027-03-16T17:00");
    }

    @Test
    void eachTypeOfLinkHoldsItsOwnEnds() {
        Schedule schedule = schedule(new PlanBuilder()
                .task("A", 5)
                .task("ss", 2)
                .task("ff", 2)
                .task("sf", 1)
                .task("lead", 2)
                .link("A", "ss", LinkType.SS, "1d")
                .link("A", "ff", LinkType.FF, "0d")
                .link("A", "sf", LinkType.SF, "3d")
                .link("A", "lead", LinkType.FS, "-2d"));
        assertDates(row(schedule, "ss"), "2027-03-02T08:00", "2027-03-03T17:00");
        assertDates(row(schedule, "ff"), "2027-03-04T08:00", "2027-03-05T17:00");
        assertDates(row(schedule, "sf"), "2027-03-03T08:00", "2027-03-03T17:00");
        assertDates(row(schedule, "lead"), "2027-03-04T08:00", "2027-03-05T17:00");
    }

    @Test
    void aMilestoneStandsWhereItsPredecessorLeavesIt() {
        Schedule schedule = schedule(new PlanBuilder()
                .milestone("begin")
                .task("A", 5)
                .milestone("done")
                .task("B", 1)
                .link("begin", "A")
                .link("A", "done")
                .link("done", "B"));
        assertDates(row(schedule, "begin"), "2027-03-01T08:00", "2027-03-01T08:00");
        assertDates(row(schedule, "done"), "2027-03-05T17:00", "2027-03-05T17:00");
        assertDates(row(schedule, "B"), "2027-03-08T08:00", "2027-03-08T17:00");
    }

    @Test
    void noEarlierHoldsWorkBackAndNoLaterOnlyTakesFloat() {
        Schedule schedule = schedule(new PlanBuilder()
                .task("held", 1)
                .constraint(new Constraint(ConstraintType.START_NO_EARLIER, LocalDateTime.parse("2027-03-06T10:00")))
                .task("due", 5)
                .constraint(new Constraint(ConstraintType.FINISH_NO_LATER, LocalDateTime.parse("2027-03-03T17:00"))));
        assertDates(row(schedule, "held"), "2027-03-08T08:00", "2027-03-08T17:00");
        assertDates(row(schedule, "due"), "2027-03-01T08:00", "2027-03-05T17:00");
        assertThat(row(schedule, "due").totalFloat()).isEqualTo(-2 * 480);
    }

    @Test
    void everyLoopIsSpelledOut() {
        Plan looped = new PlanBuilder()
                .task("A", 1)
                .task("B", 1)
                .task("C", 1)
                .task("D", 1)
                .task("E", 1)
                .link("A", "B")
                .link("B", "C")
                .link("C", "A")
                .link("D", "E")
                .link("E", "D")
                .build();
        assertThatThrownBy(() -> Network.of(looped))
                .isInstanceOfSatisfying(InvalidPlanException.class, e -> assertThat(e.problems())
                        .extracting("pointer", "message")
                        .containsExactly(
                                tuple("/links/2", "the logic runs in a loop: A → B → C → A"),
                                tuple("/links/4", "the logic runs in a loop: D → E → D")));
    }

    @Test
    void aPlanWithoutActivitiesFinishesWhereItStarts() {
        assertThat(Instants.toCivil(schedule(new PlanBuilder()).finish())).isEqualTo("2027-03-01T08:00");
    }
}
