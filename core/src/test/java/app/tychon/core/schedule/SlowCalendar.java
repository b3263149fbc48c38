package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Shift;
import java.time.LocalDate;
import java.util.List;

/** A calendar worked off day by day, as one would on paper; the reference for the fast time maps. */
public final class SlowCalendar {
    private static final double SAME = 1e-6;
    private final CalendarDefinition calendar;

    public SlowCalendar(CalendarDefinition calendar) {
        this.calendar = calendar;
    }

    private List<Shift> shifts(long day) {
        LocalDate date = LocalDate.ofEpochDay(day);
        List<Shift> shifts = calendar.shiftsOn(date.getDayOfWeek());
        for (CalendarException exception : calendar.exceptions()) {
            if (!date.isBefore(exception.from()) && !date.isAfter(exception.to())) {
                shifts = exception.shifts();
            }
        }
        return shifts;
    }

    /** The first instant from {@code instant} on at which there is work to do. */
    public double nextWork(double instant) {
        for (long day = day(instant); ; day++) {
            for (Shift shift : shifts(day)) {
                if (day * 1440.0 + shift.to() > instant + SAME) {
                    return Math.max(instant, day * 1440.0 + shift.from());
                }
            }
        }
    }

    /** The instant at which work that may begin at {@code instant} has taken {@code minutes}, above zero. */
    public double plus(double instant, double minutes) {
        double left = minutes;
        for (long day = day(instant); ; day++) {
            for (Shift shift : shifts(day)) {
                double from = Math.max(instant, day * 1440.0 + shift.from());
                double room = day * 1440.0 + shift.to() - from;
                if (room > 0 && left <= room + SAME) {
                    return from + left;
                }
                left -= Math.max(0, room);
            }
        }
    }

    /** Minutes of work between two instants; none where the second is the earlier. */
    public double between(double from, double to) {
        double sum = 0;
        for (long day = day(from); day * 1440.0 < to; day++) {
            for (Shift shift : shifts(day)) {
                double begin = Math.max(from, day * 1440.0 + shift.from());
                double end = Math.min(to, day * 1440.0 + shift.to());
                sum += Math.max(0, end - begin);
            }
        }
        return sum;
    }

    /** The last instant up to {@code instant} at which there was work to do. */
    public double endOfWork(double instant) {
        double latest = Double.NEGATIVE_INFINITY;
        for (long day = day(instant); latest == Double.NEGATIVE_INFINITY; day--) {
            for (Shift shift : shifts(day)) {
                if (day * 1440.0 + shift.from() < instant - SAME) {
                    latest = Math.min(instant, day * 1440.0 + shift.to());
                }
            }
        }
        return latest;
    }

    /** The first instant from which {@code minutes}, above zero, of work lead up to {@code instant}, ends preferred. */
    public double minus(double instant, double minutes) {
        double left = minutes;
        for (long day = day(instant); ; day--) {
            List<Shift> shifts = shifts(day);
            for (int i = shifts.size() - 1; i >= 0; i--) {
                double to = Math.min(instant, day * 1440.0 + shifts.get(i).to());
                double room = to - (day * 1440.0 + shifts.get(i).from());
                if (room > 0 && left < room - SAME) {
                    return to - left;
                }
                left -= Math.max(0, room);
                if (left <= SAME && room > 0) {
                    // Nothing left at the start of a shift: the same point of working time is the end of the one
                    // before.
                    return endOfWorkBefore(day * 1440.0 + shifts.get(i).from());
                }
            }
        }
    }

    private double endOfWorkBefore(double instant) {
        for (long day = day(instant); ; day--) {
            List<Shift> shifts = shifts(day);
            for (int i = shifts.size() - 1; i >= 0; i--) {
                if (day * 1440.0 + shifts.get(i).to() <= instant + SAME) {
                    return day * 1440.0 + shifts.get(i).to();
                }
            }
        }
    }

    private static long day(double instant) {
        return (long) Math.floor(instant / Instants.DAY);
    }
}
