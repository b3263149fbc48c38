package app.tychon.server.edits;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Section;
import app.tychon.core.model.Sections;
import app.tychon.exchange.changes.Change;
import app.tychon.exchange.changes.ChangeSet;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * An object that differs between two versions of a plan.
 *
 * @param section as the project file calls it: activities, links, risks, …
 * @param title what stands before the key in a list: Activity, Predecessors of, …
 * @param key the object's own code within the section
 * @param name what people call it; empty where it has no name
 * @param what added, removed, changed or moved
 * @param fields those that differ, where it was changed
 * @param details the same with what they said before and say now
 */
public record InputChange(
        String section,
        String title,
        String key,
        String name,
        String what,
        List<String> fields,
        List<ChangedField> details) {
    private static final Map<String, String> TITLES =
            Sections.ALL.stream().collect(Collectors.toMap(Section::name, Section::title));

    /** Everything that differs, section by section, but for scenarios and briefs, which change nothing of the plan. */
    public static List<InputChange> between(Plan before, Plan after) {
        return ChangeSet.between(before.alone(), after.alone()).changes().stream()
                .map(InputChange::of)
                .toList();
    }

    private static InputChange of(Change change) {
        ObjectNode old = change.before() == null ? null : change.before().is();
        ObjectNode now = change.after() == null ? null : change.after().is();
        ObjectNode named = now == null ? old : now;
        List<ChangedField> details = old == null || now == null ? List.of() : differing(old, now);
        List<String> fields = details.stream().map(ChangedField::name).toList();
        String what = old == null ? "added" : now == null ? "removed" : fields.isEmpty() ? "moved" : "changed";
        return new InputChange(
                change.section(),
                TITLES.getOrDefault(change.section(), change.section()),
                change.key(),
                named.path("name").asText(named.path("title").asText("")),
                what,
                fields,
                details);
    }

    private static List<ChangedField> differing(JsonNode old, JsonNode now) {
        TreeSet<String> names = new TreeSet<>();
        old.fieldNames().forEachRemaining(names::add);
        now.fieldNames().forEachRemaining(names::add);
        List<ChangedField> fields = new ArrayList<>();
        for (String name : names) {
            if (!Objects.equals(old.get(name), now.get(name))) {
                fields.add(ChangedField.of(name, old.get(name), now.get(name)));
            }
        }
        return fields;
    }
}
