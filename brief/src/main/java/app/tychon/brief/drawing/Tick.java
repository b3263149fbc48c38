package app.tychon.brief.drawing;

import app.tychon.core.calendar.Instants;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Function;

/** A value on an axis with what stands at it. */
public record Tick(double value, String label) {
    private static final int[] MONTHS = {1, 2, 3, 6, 12, 24, 60, 120, 240};
    private static final int[] DAYS = {1, 2, 7, 14};
    private static final double DAYS_A_MONTH = 30.4;

    /** First days of weeks, months or years between two instants, about as many as asked. */
    public static List<Tick> dates(double low, double high, int most, Function<LocalDate, String> label) {
        double days = (high - low) / Instants.DAY;
        LocalDate first = Instants.toCivil(low).toLocalDate();
        for (int step : DAYS) {
            if (days / step <= most) {
                return from(first.plusDays(1), high, at -> at.plusDays(step), label);
            }
        }
        for (int step : MONTHS) {
            if (days / DAYS_A_MONTH / step <= most || step == MONTHS[MONTHS.length - 1]) {
                int months = Math.floorMod(-(first.getMonthValue() - 1), Math.min(step, 12));
                LocalDate at = first.withDayOfMonth(1).plusMonths(months);
                return from(at.isBefore(first) ? at.plusMonths(step) : at, high, one -> one.plusMonths(step), label);
            }
        }
        return List.of();
    }

    private static List<Tick> from(
            LocalDate first, double high, Function<LocalDate, LocalDate> next, Function<LocalDate, String> label) {
        List<Tick> ticks = new ArrayList<>();
        for (LocalDate at = first; Instants.of(start(at)) <= high; at = next.apply(at)) {
            ticks.add(new Tick(Instants.of(start(at)), label.apply(at)));
        }
        return ticks;
    }

    private static LocalDateTime start(LocalDate day) {
        return day.atStartOfDay();
    }

    /** Round amounts between two, about as many as asked. */
    public static List<Tick> amounts(double low, double high, int most, DoubleFunction<String> label) {
        double raw = Math.max((high - low) / most, Math.ulp(high));
        double power = Math.pow(10, Math.floor(Math.log10(raw)));
        double step = 10 * power;
        for (double times : new double[] {1, 2, 5}) {
            if (times * power >= raw) {
                step = times * power;
                break;
            }
        }
        List<Tick> ticks = new ArrayList<>();
        for (double at = Math.ceil(low / step) * step; at <= high; at += step) {
            ticks.add(new Tick(at, label.apply(at)));
        }
        return ticks;
    }
}
