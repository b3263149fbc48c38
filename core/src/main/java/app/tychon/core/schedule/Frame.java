package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Part;
import java.util.Map;

/**
 * What holds for a project as a whole, be it alone or in a programme.
 *
 * @param start    instant before which nothing of it starts
 * @param earliest instant before which nothing starts that is still to be worked: project start or data date
 * @param time     in which its duration, and that of its branches, counts
 * @param workAtStart working minutes of that at the start
 * @param day      working minutes of a day of that
 * @param clock    time in which every minute counts
 */
public record Frame(
        double start, double earliest, WorkingTime time, double workAtStart, double day, WorkingTime clock) {
    private static final double MINUTES_PER_HOUR = 60;

    static Frame of(Part part, Map<String, WorkingTime> calendars, Map<String, CalendarDefinition> definitions) {
        double start = Instants.of(part.start());
        return new Frame(
                start,
                part.dataDate().map(date -> Math.max(start, Instants.of(date))).orElse(start),
                calendars.get(part.calendar()),
                calendars.get(part.calendar()).work(start),
                definitions.get(part.calendar()).hoursPerDay() * MINUTES_PER_HOUR,
                WorkingTimes.clock(part.start().toLocalDate()));
    }

    /** The instant at which so many working minutes from the project's start have been worked, where work can end. */
    public double endOf(double minutes) {
        return time.finishInstant(workAtStart + minutes);
    }

    /** The last instant at which no more has been worked, where work can start. */
    public double startOf(double minutes) {
        return time.startInstant(workAtStart + minutes);
    }

    /** Working minutes from the project's start to an instant. */
    public double work(double instant) {
        return time.work(instant) - workAtStart;
    }
}
