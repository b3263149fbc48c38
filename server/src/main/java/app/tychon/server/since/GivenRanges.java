package app.tychon.server.since;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.server.edits.PastPlan;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Which ranges were on record before the work began: those of the last plan that was kept before its actual start and did not
 * know of it. Where the history begins later, of the last plan that did not know of it, else of the first there is. Told of
 * past plans, the newest first.
 */
final class GivenRanges implements Predicate<PastPlan> {
    /** What is looked for of an activity or a cost line that is over. */
    private static final class Wanted {
        /** When it began; nothing where that has no date. */
        final Optional<LocalDateTime> began;
        /** The newest plan that does not know that it has begun. */
        Optional<Plan> unaware = Optional.empty();

        Wanted(Optional<LocalDateTime> began) {
            this.began = began;
        }
    }

    private final Plan now;
    private final Map<String, Wanted> wanted = new HashMap<>();
    private final Map<String, Plan> given = new HashMap<>();
    private Plan after;

    GivenRanges(Plan now) {
        this.now = now;
        after = now;
        Map<String, Optional<LocalDateTime>> starts = new HashMap<>();
        now.activities()
                .forEach(activity ->
                        starts.put(activity.id(), activity.progress().actualStart()));
        now.activities().stream()
                .filter(activity -> activity.progress().isFinished())
                .forEach(activity -> wanted.put(activity.id(), new Wanted(starts.get(activity.id()))));
        now.costs().stream()
                .filter(line -> line.spent().isPresent())
                .forEach(line -> wanted.put(line.id(), new Wanted(starts.getOrDefault(line.on(), Optional.empty()))));
    }

    /** The plan in which the range of an activity or a cost line is looked up. */
    Plan of(String id) {
        return given.getOrDefault(id, wanted.containsKey(id) ? after : now);
    }

    @Override
    public boolean test(PastPlan past) {
        LocalDateTime since = local(past.since());
        past.touched().stream().filter(wanted::containsKey).toList().forEach(id -> look(id, past.plan()));
        List<String> settled = wanted.entrySet().stream()
                .filter(one -> one.getValue().unaware.isPresent())
                .filter(one -> one.getValue()
                        .began
                        .filter(began -> began.isBefore(since))
                        .isEmpty())
                .map(Map.Entry::getKey)
                .toList();
        settled.forEach(id -> settle(id, past.plan()));
        after = past.plan();
        return !wanted.isEmpty();
    }

    private void look(String id, Plan past) {
        Optional<Boolean> knows = knows(id, past);
        Wanted one = wanted.get(id);
        if (knows.isEmpty()) {
            settle(id, one.unaware.orElse(after));
        } else if (!knows.get() && one.unaware.isEmpty()) {
            one.unaware = Optional.of(past);
        }
    }

    private void settle(String id, Plan plan) {
        given.put(id, plan);
        wanted.remove(id);
    }

    /** Once all that there is has been seen: what is not settled has the newest plan that did not know, or the first. */
    GivenRanges done() {
        wanted.forEach((id, one) -> given.put(id, one.unaware.orElse(after)));
        wanted.clear();
        return this;
    }

    /** Whether a plan knows that something has begun; nothing where it does not have it. */
    private static Optional<Boolean> knows(String id, Plan plan) {
        Optional<Activity> activity =
                plan.activities().stream().filter(one -> one.id().equals(id)).findFirst();
        Optional<CostLine> line =
                plan.costs().stream().filter(one -> one.id().equals(id)).findFirst();
        return activity.map(one -> one.progress().hasStarted())
                .or(() -> line.map(one -> one.spent().isPresent()));
    }

    private static LocalDateTime local(Instant moment) {
        return LocalDateTime.ofInstant(moment, ZoneId.systemDefault());
    }
}
