package app.tychon.core.calendar;

import static app.tychon.core.PlanBuilder.closure;
import static app.tychon.core.PlanBuilder.fiveDayWeek;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Shift;
import app.tychon.core.schedule.SlowCalendar;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WorkingTimeTest {
    private static final LocalDate AROUND = LocalDate.of(2027, 3, 1);
    private final WorkingTime week = WorkingTimes.of(fiveDayWeek("w", closure("2027-12-24", "2028-01-02")), AROUND);

    private static double at(String time) {
        return Instants.of(LocalDateTime.parse(time));
    }

    private double worked(String from, String to) {
        return week.work(at(to)) - week.work(at(from));
    }

    @Test
    void countsWorkingMinutesOnly() {
        assertThat(worked("2027-03-01T08:00", "2027-03-01T17:00")).isEqualTo(480);
        assertThat(worked("2027-03-01T12:30", "2027-03-01T13:30")).isEqualTo(30);
        assertThat(worked("2027-03-05T16:00", "2027-03-08T09:00")).isEqualTo(120);
    }

    @Test
    void leavesOutAClosure() {
        assertThat(worked("2027-12-23T08:00", "2028-01-04T08:00")).isEqualTo(2 * 480);
    }

    @Test
    void startsInTheMorningAndFinishesInTheEvening() {
        double friday = week.work(at("2027-03-05T17:00"));
        assertThat(Instants.toCivil(week.finishInstant(friday))).isEqualTo("2027-03-05T17:00");
        assertThat(Instants.toCivil(week.startInstant(friday))).isEqualTo("2027-03-08T08:00");
    }

    @Test
    void roundingNoiseDoesNotMoveAFinishToTheNextMorning() {
        double friday = week.work(at("2027-03-05T17:00"));
        assertThat(Instants.toCivil(week.finishInstant(friday + 1e-9))).isEqualTo("2027-03-05T17:00");
        assertThat(Instants.toCivil(week.startInstant(friday - 1e-9))).isEqualTo("2027-03-08T08:00");
    }

    @Test
    void theOrdinaryWeekGoesOnForEverBeforeAndAfterTheTable() {
        assertThat(worked("1950-01-02T00:00", "1950-01-09T00:00")).isEqualTo(5 * 480);
        assertThat(worked("2150-03-02T00:00", "2150-03-09T00:00")).isEqualTo(5 * 480);
        for (String time : List.of("1950-06-01T10:17", "2027-06-01T10:17", "2150-06-01T10:17")) {
            assertThat(week.startInstant(week.work(at(time)))).isCloseTo(at(time), within(1e-6));
            assertThat(week.finishInstant(week.work(at(time)))).isCloseTo(at(time), within(1e-6));
        }
    }

    @Test
    void aLagOfNothingStaysWhereItIs() {
        assertThat(week.plus(at("2027-03-06T03:00"), 0)).isEqualTo(at("2027-03-06T03:00"));
    }

    @Test
    void agreesWithAPlainLoopOverDays() {
        CalendarDefinition odd = new CalendarDefinition(
                "odd",
                "Odd",
                8,
                Map.of(
                        DayOfWeek.MONDAY, List.of(new Shift(0, 7), new Shift(9, 10), new Shift(600, 1440)),
                        DayOfWeek.TUESDAY, List.of(new Shift(0, 300)),
                        DayOfWeek.SATURDAY, List.of(new Shift(1439, 1440))),
                List.of(
                        closure("2027-05-01", "2027-09-30"),
                        new CalendarException(
                                LocalDate.of(2027, 6, 3),
                                LocalDate.of(2027, 6, 3),
                                "One good day",
                                List.of(new Shift(60, 120)))));
        WorkingTime fast = WorkingTimes.of(odd, AROUND);
        SlowCalendar slow = new SlowCalendar(odd);
        double from = at("2027-03-01T00:00");
        Random random = new Random(7);
        for (int i = 0; i < 2000; i++) {
            double start = from + Math.floor(random.nextDouble() * 400 * Instants.DAY);
            double minutes = 1 + Math.floor(random.nextDouble() * 30_000);
            assertThat(fast.finishInstant(fast.work(start) + minutes))
                    .isCloseTo(slow.plus(start, minutes), within(1e-6));
            assertThat(fast.startInstant(fast.work(start))).isCloseTo(slow.nextWork(start), within(1e-6));
            assertThat(fast.plus(start, -minutes)).isCloseTo(slow.minus(start, minutes), within(1e-6));
        }
    }
}
