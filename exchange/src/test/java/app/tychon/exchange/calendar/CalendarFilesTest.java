package app.tychon.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class CalendarFilesTest {
    private static final LocalDate FROM = LocalDate.of(2027, 1, 1);
    private static final LocalDate TO = LocalDate.of(2029, 12, 31);

    private static List<CalendarException> read(String events) throws Exception {
        String file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n" + events + "END:VCALENDAR\r\n";
        return HolidayFile.read(new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)), FROM, TO);
    }

    private static String event(String lines) {
        return "BEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20260101T000000Z\r\n" + lines + "END:VEVENT\r\n";
    }

    @Test
    void anAllDayEventIsADayOff() throws Exception {
        assertThat(read(event("DTSTART;VALUE=DATE:20271224\r\nDTEND;VALUE=DATE:20271227\r\nSUMMARY:Midwinter\r\n")))
                .containsExactly(new CalendarException(
                        LocalDate.of(2027, 12, 24), LocalDate.of(2027, 12, 26), "Midwinter", List.of()));
        assertThat(read(event("DTSTART;VALUE=DATE:20280501\r\nSUMMARY:May day\r\n")))
                .as("without an end it is one day")
                .extracting(CalendarException::to)
                .containsExactly(LocalDate.of(2028, 5, 1));
    }

    @Test
    void aYearlyHolidayIsOneInEveryYearThatMatters() throws Exception {
        assertThat(read(event("DTSTART;VALUE=DATE:20200501\r\nRRULE:FREQ=YEARLY\r\nSUMMARY:May day\r\n")))
                .extracting(CalendarException::from)
                .containsExactly(LocalDate.of(2027, 5, 1), LocalDate.of(2028, 5, 1), LocalDate.of(2029, 5, 1));
    }

    @Test
    void meetingsAndGarbageAreNoDaysOff() {
        assertThatThrownBy(() -> read(event("DTSTART:20270301T090000\r\nDTEND:20270301T100000\r\nSUMMARY:Talk\r\n")))
                .hasMessageContaining("no all-day event");
        assertThatThrownBy(() -> HolidayFile.read(
                        new ByteArrayInputStream("PK\u0003\u0004 not a calendar".getBytes()), FROM, TO))
                .hasMessageContaining("no sound iCalendar file");
        assertThatThrownBy(() -> HolidayFile.read(new ByteArrayInputStream(new byte[6_000_000]), FROM, TO))
                .hasMessageContaining("5 MB");
    }

    @Test
    void aDayThatLastsUntilAnHourIsRefusedByName() {
        assertThatThrownBy(() -> read(event("DTSTART;VALUE=DATE:20280501\r\nDURATION:PT5S\r\nSUMMARY:May day\r\n")))
                .isInstanceOf(UnreadableCalendarException.class)
                .hasMessageContaining("\"May day\" begins on a day");
    }

    @Test
    void whatIsWrittenIsReadBack() throws Exception {
        CalendarDefinition calendar = PlanBuilder.fiveDayWeek(
                "std",
                PlanBuilder.closure("2027-12-24", "2028-01-02"),
                PlanBuilder.closure("2028-05-01", "2028-05-01"));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WorkCalendarFile.write(calendar, FROM, out);
        assertThat(HolidayFile.read(new ByteArrayInputStream(out.toByteArray()), FROM, TO))
                .isEqualTo(calendar.exceptions());
        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("VERSION:2.0\r\n")
                .contains("RRULE:FREQ=WEEKLY")
                .contains("DTSTART:20270101T080000");
    }
}
