package app.tychon.exchange.changes;

import app.tychon.core.model.Delta;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.exchange.JsonText;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Everything an edit changed, object by object; it can be done again, or taken back, on a later plan. */
public record ChangeSet(List<Change> changes) {

    public static ChangeSet between(Plan before, Plan after) {
        List<Change> changes = new ArrayList<>();
        Kept.ALL.forEach(section -> collect(section, before, after, changes));
        return new ChangeSet(changes);
    }

    private static <T> void collect(Kept<T> section, Plan before, Plan after, List<Change> changes) {
        List<T> old = section.of().apply(before);
        List<T> now = section.of().apply(after);
        Delta<T> delta = Delta.of(old, now, section.key());
        if (delta.isEmpty()) {
            return;
        }
        Set<String> placed = new HashSet<>(delta.moved());
        placed.addAll(delta.removed());
        delta.added().forEach(one -> placed.add(section.key().apply(one)));
        Set<String> touched = new HashSet<>(placed);
        delta.changed().forEach(one -> touched.add(section.key().apply(one)));
        Map<String, Change.State> earlier = states(section, old, touched, placed);
        Map<String, Change.State> later = states(section, now, touched, placed);
        touched.forEach(key -> changes.add(new Change(section.name(), key, earlier.get(key), later.get(key))));
    }

    private static <T> Map<String, Change.State> states(
            Kept<T> section, List<T> all, Set<String> touched, Set<String> placed) {
        Map<String, Change.State> states = new HashMap<>();
        String previous = null;
        for (int i = 0; i < all.size(); i++) {
            String key = section.key().apply(all.get(i));
            if (touched.contains(key)) {
                boolean stays = !placed.contains(key);
                states.put(
                        key,
                        new Change.State(section.write().apply(all.get(i)), stays ? -1 : i, stays ? null : previous));
            }
            previous = key;
        }
        return states;
    }

    /** The same, the other way round. */
    public ChangeSet turned() {
        return new ChangeSet(changes.stream().map(Change::turned).toList());
    }

    /**
     * Does all of it on a plan.
     *
     * @throws ChangedMeanwhile where an object is not as the change found it
     */
    public Plan applyTo(Plan plan) {
        PlanDraft draft = plan.edit();
        Map<String, List<Change>> bySection = changes.stream().collect(Collectors.groupingBy(Change::section));
        Kept.ALL.forEach(section ->
                Optional.ofNullable(bySection.get(section.name())).ifPresent(own -> apply(section, own, plan, draft)));
        return draft.done();
    }

    private static <T> void apply(Kept<T> section, List<Change> changes, Plan plan, PlanDraft draft) {
        Map<String, Change> byKey = changes.stream().collect(Collectors.toMap(Change::key, change -> change));
        List<T> rows = new ArrayList<>();
        Set<String> met = new HashSet<>();
        Map<String, ObjectNode> moved = new HashMap<>();
        for (T row : section.of().apply(plan)) {
            String key = section.key().apply(row);
            Change change = byKey.get(key);
            if (change == null) {
                rows.add(row);
                continue;
            }
            met.add(key);
            ObjectNode now = section.write().apply(row);
            if (change.before() == null) {
                throw new ChangedMeanwhile(key);
            }
            if (change.after() == null) {
                if (!FieldMerge.same(now, change.before().is())) {
                    throw new ChangedMeanwhile(key);
                }
                continue;
            }
            ObjectNode merged = FieldMerge.of(
                            change.before().is(), change.after().is(), now)
                    .orElseThrow(() -> new ChangedMeanwhile(key));
            if (change.after().index() < 0) {
                rows.add(value(section, merged));
            } else {
                moved.put(key, merged);
            }
        }
        changes.stream()
                .filter(change -> change.before() != null && !met.contains(change.key()))
                .findFirst()
                .ifPresent(change -> {
                    throw new ChangedMeanwhile(change.key());
                });
        changes.stream()
                .map(Change::after)
                .filter(state -> state != null && state.index() >= 0)
                .sorted(Comparator.comparingInt(Change.State::index))
                .forEach(state -> rows.add(
                        place(section, rows, state),
                        value(
                                section,
                                moved.getOrDefault(section.key().apply(value(section, state.is())), state.is()))));
        section.put().accept(draft, rows);
    }

    /** Behind the one it followed; where that is gone, where it stood. */
    private static <T> int place(Kept<T> section, List<T> rows, Change.State state) {
        if (state.follows() == null) {
            return 0;
        }
        int likely = state.index() - 1;
        if (likely >= 0
                && likely < rows.size()
                && state.follows().equals(section.key().apply(rows.get(likely)))) {
            return likely + 1;
        }
        for (int i = 0; i < rows.size(); i++) {
            if (state.follows().equals(section.key().apply(rows.get(i)))) {
                return i + 1;
            }
        }
        return Math.min(state.index(), rows.size());
    }

    private static <T> T value(Kept<T> section, ObjectNode is) {
        return JsonText.read(is.toString(), section.read());
    }
}
