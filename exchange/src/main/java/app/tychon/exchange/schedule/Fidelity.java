package app.tychon.exchange.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.table.DateWords;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where the calculated dates of a schedule differ from those in the table it came from, and the likely reason. Days are
 * compared, not hours, since most tables have no more.
 */
public final class Fidelity {
    private final Network network;
    private final Map<String, ScheduleReader.Dated> dates;
    private final Map<String, ScheduledActivity> ours = new HashMap<>();
    private final Map<String, Link> driver = new HashMap<>();

    private Fidelity(ScheduleReader.Read read) {
        network = Network.of(read.plan());
        dates = read.dates();
        Schedule schedule = Scheduler.schedule(network);
        schedule.activities().forEach(row -> ours.put(row.id(), row));
        Set<Link> driving = Scheduler.driving(network);
        read.plan().links().stream().filter(driving::contains).forEach(l -> driver.putIfAbsent(l.to(), l));
    }

    /**
     * A difference.
     *
     * @param daysLater calendar days by which our finish lies behind the table's; below zero before it
     * @param cause     whether the difference begins here, and does not come from a predecessor
     * @param reason    why we think so, a sentence
     */
    public record Difference(
            String id, String name, LocalDate table, LocalDate ours, long daysLater, boolean cause, String reason) {}

    /**
     * How well the dates agree.
     *
     * @param compared activities of which the table has a date
     */
    public record Report(int compared, List<Difference> differences) {}

    /** @param read a schedule without problems */
    public static Report of(ScheduleReader.Read read) {
        Fidelity fidelity = new Fidelity(read);
        Plan plan = read.plan();
        List<Difference> differences = new ArrayList<>();
        int compared = 0;
        for (Activity activity : plan.activities()) {
            compared += fidelity.file(activity.id()).isPresent() ? 1 : 0;
            fidelity.difference(activity).ifPresent(differences::add);
        }
        return new Report(compared, differences);
    }

    private Optional<LocalDate> file(String id) {
        ScheduleReader.Dated dated = dates.get(id);
        return dated.finish().or(dated::start).map(DateWords.Moment::day);
    }

    private LocalDate calculated(String id) {
        ScheduledActivity row = ours.get(id);
        boolean byFinish = dates.get(id).finish().isPresent();
        // A finish at midnight belongs to the day before it.
        double instant = byFinish && row.earlyFinish() > row.earlyStart() ? row.earlyFinish() - 1 : row.earlyStart();
        return Instants.toCivil(instant).toLocalDate();
    }

    private Optional<Difference> difference(Activity activity) {
        Optional<LocalDate> file = file(activity.id());
        LocalDate own = calculated(activity.id());
        if (file.isEmpty() || file.get().equals(own)) {
            return Optional.empty();
        }
        Optional<Link> link = Optional.ofNullable(driver.get(activity.id()));
        boolean follows = link.filter(l -> differs(l.from())).isPresent() && sameLength(activity);
        String reason = follows
                ? "It follows " + link.get().from() + ", which differs too."
                : reason(activity, file.get().isAfter(own));
        return Optional.of(new Difference(
                activity.id(),
                activity.name(),
                file.get(),
                own,
                ChronoUnit.DAYS.between(file.get(), own),
                !follows,
                reason));
    }

    private boolean differs(String id) {
        return file(id).filter(day -> !day.equals(calculated(id))).isPresent();
    }

    /** Whether the table's own start and finish lie as far apart as the duration says. */
    private boolean sameLength(Activity activity) {
        return Math.abs(missing(activity)) < 0.75;
    }

    /** Days of its calendar by which the table's dates lie further apart than the duration says; 0 where it has not both. */
    private double missing(Activity activity) {
        ScheduleReader.Dated dated = dates.get(activity.id());
        if (dated.start().isEmpty() || dated.finish().isEmpty() || activity.isMilestone() || activity.isHammock()) {
            return 0;
        }
        int i = network.position(activity.id());
        WorkingTime time = network.time(i);
        double from = Instants.of(dated.start().get().day().atStartOfDay());
        double to = Instants.of(dated.finish().get().day().plusDays(1).atStartOfDay());
        double day = activity.minutesPerDay(network.calendar(i));
        double partDay = network.planned(i) % day;
        double spanned = time.work(to) - time.work(from) - (partDay == 0 ? 0 : day - partDay);
        return (spanned - network.planned(i)) / day;
    }

    private String reason(Activity activity, boolean fileLater) {
        double missing = missing(activity);
        if (Math.abs(missing) >= 0.75) {
            long days = Math.round(Math.abs(missing));
            return "The table's own dates span " + days + (days == 1 ? " working day " : " working days ")
                    + (missing > 0 ? "more" : "fewer")
                    + " than its duration: its calendar has other hours or days off.";
        }
        if (activity.progress().hasStarted()) {
            return "It is under way: the table seems to reckon progress or its data date otherwise.";
        }
        if (fileLater && !driver.containsKey(activity.id())) {
            return "Nothing in the table holds it there: a date constraint or a link was probably not exported.";
        }
        Optional<LocalDateTime> dataDate = network.plan().project().dataDate();
        if (!driver.containsKey(activity.id()) && dataDate.isPresent()) {
            return "It is not reported as begun, so it cannot start before the data date, "
                    + dataDate.get().toLocalDate() + ".";
        }
        if (fileLater) {
            return "It starts later than its predecessors ask for: a lag, a constraint or levelling was probably not"
                    + " exported.";
        }
        return "Its predecessors hold it longer than in the table: a lag or a link is probably read otherwise there.";
    }
}
