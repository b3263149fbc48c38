package app.tychon.core.schedule.check;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.Link;
import app.tychon.core.schedule.Network;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;

/** Whether dates that people have set agree with logic and calendars. */
final class DateChecks {
    private final Network network;
    private final PlanCheck.Found found;

    DateChecks(Network network, PlanCheck.Found found) {
        this.network = network;
        this.found = found;
    }

    void run() {
        for (Activity activity : network.plan().activities()) {
            boolean ahead = !activity.progress().isFinished();
            activity.constraint().filter(c -> ahead).ifPresent(c -> constraint(activity, c));
            activity.progress().actualStart().ifPresent(date -> inWork(activity, date, true, "actual start"));
            activity.progress().actualFinish().ifPresent(date -> inWork(activity, date, false, "actual finish"));
        }
        network.plan().links().forEach(this::sequence);
    }

    private void constraint(Activity activity, Constraint constraint) {
        LocalDate day = constraint.date().toLocalDate();
        if (constraint.type().noLater()) {
            String side = constraint.type().onStart() ? "start" : "finish";
            String how = constraint.type().noEarlier() ? " is held on " : " may be no later than ";
            found.add(Check.HARD_CONSTRAINT, activity.id(), "its " + side + how + day, Optional.empty());
        }
        inWork(activity, constraint.date(), constraint.type().onStart(), "constraint");
    }

    /** A start must have work right behind it, a finish right before it. */
    private void inWork(Activity activity, LocalDateTime date, boolean start, String what) {
        WorkingTime time = network.time(network.position(activity.id()));
        double at = Instants.of(date);
        double minute = start ? time.work(at + 1) - time.work(at) : time.work(at) - time.work(at - 1);
        if (minute <= 0) {
            found.add(
                    Check.OUTSIDE_WORK,
                    activity.id(),
                    "nobody works in its calendar at its " + what + ", "
                            + date.toString().replace('T', ' '),
                    Optional.empty());
        }
    }

    private void sequence(Link link) {
        Activity from = network.activity(network.position(link.from()));
        Activity to = network.activity(network.position(link.to()));
        if (from.isHammock() || to.isHammock()) {
            return;
        }
        Optional<LocalDateTime> before = link.type().fromFinish()
                ? from.progress().actualFinish()
                : from.progress().actualStart();
        Optional<LocalDateTime> after = link.type().toStart()
                ? to.progress().actualStart()
                : to.progress().actualFinish();
        boolean early = after.isPresent()
                && (before.isEmpty() || before.get().isAfter(after.get()))
                && link.lag().amount() >= 0;
        if (early) {
            found.add(
                    Check.OUT_OF_SEQUENCE,
                    to.id(),
                    "it " + (link.type().toStart() ? "started" : "finished") + " before " + from.id() + " had "
                            + (link.type().fromFinish() ? "finished" : "started"),
                    Optional.empty());
        }
    }
}
