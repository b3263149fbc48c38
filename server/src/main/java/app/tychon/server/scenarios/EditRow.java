package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.core.model.Section;
import app.tychon.core.model.Sections;
import app.tychon.exchange.JsonText;
import app.tychon.server.edits.ChangedField;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * An edit of a scenario as people read it.
 *
 * @param section as the project file calls it
 * @param title   what stands before the key in a list: Activity, Predecessors of, …
 * @param name    what people call the object; empty where it has no name
 * @param what    added, removed or changed
 * @param fields  those that differ, where it was changed
 */
record EditRow(String section, String title, String key, String name, String what, List<ChangedField> fields) {
    private static final Map<String, String> TITLES =
            Sections.ALL.stream().collect(Collectors.toMap(Section::name, Section::title));

    /** @param names of objects by section and key, for edits that do not say them */
    static EditRow of(ScenarioEdit edit, Function<ScenarioEdit, String> names) {
        ObjectNode before = object(edit.before());
        ObjectNode after = object(edit.after());
        boolean changed = edit.before().isPresent() && edit.after().isPresent();
        return new EditRow(
                edit.section(),
                TITLES.getOrDefault(edit.section(), edit.section()),
                edit.key(),
                changed ? names.apply(edit) : name(edit.after().isPresent() ? after : before),
                changed ? "changed" : edit.after().isPresent() ? "added" : "removed",
                changed ? fields(before, after) : List.of());
    }

    private static ObjectNode object(Optional<String> text) {
        return text.map(JsonText::object).orElseGet(JsonNodeFactory.instance::objectNode);
    }

    static String name(JsonNode object) {
        return object.path("name").asText(object.path("title").asText(""));
    }

    private static List<ChangedField> fields(ObjectNode before, ObjectNode after) {
        TreeSet<String> names = new TreeSet<>();
        before.fieldNames().forEachRemaining(names::add);
        after.fieldNames().forEachRemaining(names::add);
        List<ChangedField> rows = new ArrayList<>();
        names.forEach(name -> rows.add(ChangedField.of(name, before.get(name), after.get(name))));
        return rows;
    }

    /** Names of the rows of a plan, by section and key. */
    static Function<ScenarioEdit, String> namesIn(Plan plan) {
        Map<List<String>, String> names = Stream.of(
                        plan.activities().stream().map(a -> Map.entry(List.of("activities", a.id()), a.name())),
                        plan.activities().stream().map(a -> Map.entry(List.of("links", a.id()), a.name())),
                        plan.activities().stream().map(a -> Map.entry(List.of("assignments", a.id()), a.name())),
                        plan.wbs().stream().map(b -> Map.entry(List.of("wbs", b.id()), b.name())),
                        plan.costs().stream().map(c -> Map.entry(List.of("costs", c.id()), c.name())),
                        plan.risks().stream().map(r -> Map.entry(List.of("risks", r.id()), r.title())),
                        plan.calendars().stream().map(c -> Map.entry(List.of("calendars", c.id()), c.name())),
                        plan.grades().stream().map(g -> Map.entry(List.of("grades", g.id()), g.name())),
                        plan.resources().stream().map(r -> Map.entry(List.of("resources", r.id()), r.name())))
                .flatMap(Function.identity())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one));
        return edit -> names.getOrDefault(List.of(edit.section(), edit.key()), "");
    }
}
