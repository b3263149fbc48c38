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
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

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
                .hasMessageContaining("\"May day\" at line 4 cannot be read");
    }

    /** Nobody means hours by a day from midnight to midnight; where the zone is does not matter to civil time. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "DTSTART;TZID=Nowhere/Ridge:20280501T000000\r\nDTEND;TZID=Nowhere/Ridge:20280502T000000\r\n",
                "DTSTART;TZID=\"(UTC+01:00) Ridge; East\":20280501T000000\r\n"
                        + "DTEND;TZID=\"(UTC+01:00) Ridge; East\":20280502T000000\r\n",
                "DTSTART;TZID=Europe/Berlin:20280501T000000\r\nDURATION:P1D\r\n",
                "DTSTART:20280501T000000\r\nDTEND:20280502T000000\r\n",
                "DTSTART:20280501T000000Z\r\nDTEND:20280502T000000Z\r\n",
            })
    void aDayFromMidnightToMidnightIsADayOffInWhateverZone(String when) throws Exception {
        assertThat(read(event(when + "SUMMARY:May day\r\n")))
                .containsExactly(new CalendarException(
                        LocalDate.of(2028, 5, 1), LocalDate.of(2028, 5, 1), "May day", List.of()));
    }

    @Test
    void aDayInAnUnknownZoneIsRepeatedAsDays() throws Exception {
        assertThat(read(event(
                        "DTSTART;TZID=Nowhere/Ridge:20270501T000000\r\nDTEND;TZID=Nowhere/Ridge:20270502T000000\r\n"
                                + "RRULE:FREQ=YEARLY;UNTIL=20290430T220000Z\r\n"
                                + "EXDATE;TZID=Nowhere/Ridge:20280501T000000\r\nSUMMARY:May day\r\n")))
                .extracting(CalendarException::from)
                .containsExactly(LocalDate.of(2027, 5, 1));
    }

    @Test
    void aMeetingInAnUnknownZoneIsPassedOver() throws Exception {
        String meeting = "DTSTART;TZID=Nowhere/Ridge:20270301T090000\r\nDTEND;TZID=Nowhere/Ridge:20270301T100000\r\n"
                + "RRULE:FREQ=WEEKLY\r\nSUMMARY:Talk\r\n";
        assertThat(read(event(meeting) + event("DTSTART;VALUE=DATE:20280501\r\nSUMMARY:May day\r\n")))
                .hasSize(1);
    }

    @Test
    void whatCannotBeReadIsToldByEventAndLine() {
        String fine = event("DTSTART;VALUE=DATE:20280501\r\nSUMMARY:May day\r\n");
        assertThatThrownBy(() -> read(fine + event("DTSTART;VALUE=DATE:2028-05-01\r\nSUMMARY:June day\r\n")))
                .hasMessageContaining("\"June day\" at line 10 cannot be read");
        assertThatThrownBy(() -> read(event("DTSTART;VALUE=DATE:20280501\r\nRRULE:FREQ=SECONDLY\r\nSUMMARY:Tick\r\n")))
                .hasMessageContaining("\"Tick\" at line 4 cannot be read");
        assertThatThrownBy(() ->
                        HolidayFile.read(new ByteArrayInputStream(("BEGIN:VCALENDAR\r\n" + fine).getBytes()), FROM, TO))
                .hasMessageContaining("ends in the middle, at line 7");
    }

    /** However an event is spoiled, it is read or refused in words. */
    @Test
    void spoiledFilesAreReadOrRefused() throws Exception {
        String sound = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\nBEGIN:VTIMEZONE\r\nTZID:Ridge\r\n"
                + "BEGIN:STANDARD\r\nDTSTART:19701025T030000\r\nTZOFFSETFROM:+0200\r\nTZOFFSETTO:+0100\r\n"
                + "RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n"
                + event("DTSTART;VALUE=DATE:20270501\r\nDTEND;VALUE=DATE:20270503\r\nRRULE:FREQ=YEARLY;COUNT=9\r\n"
                        + "EXDATE;VALUE=DATE:20280501\r\nSUMMARY;LANGUAGE=en:May days\r\n")
                + event("DTSTART;TZID=Ridge:20270301T000000\r\nDTEND;TZID=Ridge:20270302T000000\r\n"
                        + "RRULE:FREQ=MONTHLY;UNTIL=20280101T000000Z;BYDAY=1MO\r\nSUMMARY:First Monday\r\n")
                + "END:VCALENDAR\r\n";
        Random random = new Random(6);
        int refused = 0;
        for (int round = 0; round < 3000; round++) {
            byte[] bytes = sound.getBytes(StandardCharsets.UTF_8);
            for (int spoiled = 0; spoiled <= round % 4; spoiled++) {
                int at = random.nextInt(bytes.length);
                bytes[at] = (byte)
                        (random.nextInt(3) == 0
                                ? random.nextInt(256)
                                : "0123456789;:=,TZ\r\n ".charAt(random.nextInt(19)));
            }
            try {
                HolidayFile.read(new ByteArrayInputStream(bytes), FROM, TO);
            } catch (UnreadableCalendarException e) {
                refused++;
                assertThat(e.getMessage()).isNotBlank();
            }
        }
        assertThat(refused).isBetween(300, 2700);
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
