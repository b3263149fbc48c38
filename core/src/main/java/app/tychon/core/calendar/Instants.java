package app.tychon.core.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;

/** Civil time as a number: minutes since 1970-01-01T00:00, without any time zone. */
public final class Instants {
    public static final int DAY = 24 * 60;

    private Instants() {}

    public static double of(LocalDateTime time) {
        return time.toLocalDate().toEpochDay() * (double) DAY
                + time.toLocalTime().toNanoOfDay() / 60e9;
    }

    /** The civil time of an instant, rounded to the minute. */
    public static LocalDateTime toCivil(double minutes) {
        long whole = Math.round(minutes);
        return LocalDateTime.of(
                LocalDate.ofEpochDay(Math.floorDiv(whole, (long) DAY)),
                LocalTime.ofSecondOfDay(Math.floorMod(whole, (long) DAY) * 60L));
    }
}
