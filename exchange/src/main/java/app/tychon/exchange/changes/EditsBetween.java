package app.tychon.exchange.changes;

import app.tychon.core.model.Plan;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.exchange.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What differs between a plan and the same in a scenario, as edits of the scenario. That rows change places alone is none. */
final class EditsBetween {
    private static final List<String> ORDER = Kept.ALL.stream().map(Kept::name).toList();

    private EditsBetween() {}

    /** @param earlier edits of the scenario before: what they found in the plan is told on, so that later changes of it show */
    static List<ScenarioEdit> of(Plan base, Plan edited, List<ScenarioEdit> earlier) {
        Map<List<String>, ScenarioEdit> known = new HashMap<>();
        earlier.forEach(edit -> known.put(List.of(edit.section(), edit.key()), edit));
        return ChangeSet.between(base, edited).changes().stream()
                .sorted(Comparator.comparingInt((Change change) -> ORDER.indexOf(change.section()))
                        .thenComparingInt(change ->
                                change.after() == null ? -1 : change.after().index())
                        .thenComparing(Change::key))
                .map(change -> edit(change, known.get(List.of(change.section(), change.key()))))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<ScenarioEdit> edit(Change change, ScenarioEdit earlier) {
        if (change.before() == null) {
            return Optional.of(new ScenarioEdit(
                    change.section(),
                    change.key(),
                    Optional.empty(),
                    Optional.of(change.after().is().toString()),
                    Optional.of(
                            change.after().follows() == null
                                    ? ""
                                    : change.after().follows())));
        }
        ObjectNode old = change.before().is();
        if (change.after() == null) {
            return Optional.of(new ScenarioEdit(
                    change.section(), change.key(), Optional.of(old.toString()), Optional.empty(), Optional.empty()));
        }
        ObjectNode now = change.after().is();
        ObjectNode before = JsonNodeFactory.instance.objectNode();
        ObjectNode after = JsonNodeFactory.instance.objectNode();
        names(old, now)
                .filter(name -> !FieldMerge.same(old.get(name), now.get(name)))
                .forEach(name -> {
                    FieldMerge.put(before, name, found(earlier, name, now.get(name), old.get(name)));
                    FieldMerge.put(after, name, now.get(name));
                });
        return before.isEmpty() && after.isEmpty()
                ? Optional.empty()
                : Optional.of(new ScenarioEdit(
                        change.section(),
                        change.key(),
                        Optional.of(before.toString()),
                        Optional.of(after.toString()),
                        Optional.empty()));
    }

    /** What an edit found in a field: as it was told before, where the scenario still says the same of it. */
    private static JsonNode found(ScenarioEdit earlier, String name, JsonNode wanted, JsonNode now) {
        if (earlier == null || earlier.before().isEmpty() || earlier.after().isEmpty()) {
            return now;
        }
        ObjectNode before = JsonText.object(earlier.before().get());
        ObjectNode after = JsonText.object(earlier.after().get());
        boolean told = (before.has(name) || after.has(name)) && FieldMerge.same(after.get(name), wanted);
        return told ? before.get(name) : now;
    }

    private static Stream<String> names(ObjectNode old, ObjectNode now) {
        Set<String> names = new HashSet<>();
        old.fieldNames().forEachRemaining(names::add);
        now.fieldNames().forEachRemaining(names::add);
        return names.stream().sorted();
    }
}
