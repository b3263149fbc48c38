package app.tychon.exchange.changes;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.changes.Laid.Misfit;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Edits of a scenario in one section of a plan. */
final class SectionEdits<T> {
    private final Kept<T> section;
    private final List<Misfit> misfits;
    private final List<ScenarioEdit> idle;

    SectionEdits(Kept<T> section, List<Misfit> misfits, List<ScenarioEdit> idle) {
        this.section = section;
        this.misfits = misfits;
        this.idle = idle;
    }

    Plan on(Plan plan, List<ScenarioEdit> edits) {
        Map<String, ScenarioEdit> open = new LinkedHashMap<>();
        edits.forEach(edit -> open.put(edit.key(), edit));
        List<T> rows = new ArrayList<>();
        for (T row : section.of().apply(plan)) {
            ScenarioEdit edit = open.remove(section.key().apply(row));
            if (edit == null) {
                rows.add(row);
            } else {
                edited(row, edit).ifPresent(rows::add);
            }
        }
        open.values().forEach(edit -> missing(plan, rows, edit));
        PlanDraft draft = plan.edit();
        section.put().accept(draft, rows);
        return draft.done();
    }

    /** An object that the plan has, as the scenario has it; nothing where that takes it away. */
    private Optional<T> edited(T row, ScenarioEdit edit) {
        ObjectNode now = section.write().apply(row);
        if (edit.after().isEmpty()) {
            return Optional.empty();
        }
        ObjectNode after = JsonText.object(edit.after().get());
        if (edit.before().isEmpty()) {
            if (!FieldMerge.same(now, after)) {
                leave(edit, "the plan has one of its own by now");
            }
            return Optional.of(row);
        }
        ObjectNode before = JsonText.object(edit.before().get());
        Optional<ObjectNode> merged = FieldMerge.of(before, after, now);
        Optional<T> value = value(merged.orElseGet(() -> forced(before, after, now)), edit);
        if (merged.isEmpty() && value.isPresent()) {
            misfits.add(new Misfit(
                    edit.section(),
                    edit.key(),
                    false,
                    "the plan has meanwhile changed " + String.join(", ", disputed(before, after, now))
                            + ", too; the scenario keeps its own"));
        }
        return Optional.of(value.orElse(row));
    }

    private static Set<String> names(ObjectNode before, ObjectNode after) {
        Set<String> names = new TreeSet<>();
        before.fieldNames().forEachRemaining(names::add);
        after.fieldNames().forEachRemaining(names::add);
        return names;
    }

    private static ObjectNode forced(ObjectNode before, ObjectNode after, ObjectNode now) {
        ObjectNode forced = now.deepCopy();
        names(before, after).forEach(name -> FieldMerge.put(forced, name, after.get(name)));
        return forced;
    }

    private static List<String> disputed(ObjectNode before, ObjectNode after, ObjectNode now) {
        return names(before, after).stream()
                .filter(name -> !FieldMerge.same(before.get(name), now.get(name))
                        && !FieldMerge.same(after.get(name), now.get(name)))
                .map(name -> name + text(" from ", before.get(name)) + text(" to ", now.get(name)))
                .toList();
    }

    private static String text(String word, JsonNode value) {
        return value == null || value.isContainerNode() ? "" : word + value.asText();
    }

    /** An object that the plan does not have. */
    private void missing(Plan plan, List<T> rows, ScenarioEdit edit) {
        if (edit.after().isEmpty()) {
            // The plan has taken it away itself.
            return;
        }
        ObjectNode after = JsonText.object(edit.after().get());
        if (edit.before().isPresent()) {
            if (!section.isInto() || !isActivity(plan, edit.key())) {
                leave(edit, "it is no longer in the plan");
                return;
            }
            // Nothing leads into the activity any more; what the scenario has added does.
            ObjectNode none = JsonNodeFactory.instance.objectNode();
            none.put("into", edit.key()).putArray("all");
            value(forced(JsonText.object(edit.before().get()), after, none), edit)
                    .ifPresent(rows::add);
            return;
        }
        value(after, edit).ifPresent(row -> rows.add(place(rows, edit), row));
    }

    private static boolean isActivity(Plan plan, String id) {
        return plan.activities().stream().anyMatch(activity -> activity.id().equals(id));
    }

    /** After the one it followed; at the end where that is not there. */
    private int place(List<T> rows, ScenarioEdit edit) {
        String follows = edit.follows().orElse(null);
        if (follows == null) {
            return rows.size();
        }
        if (follows.isEmpty()) {
            return 0;
        }
        for (int i = 0; i < rows.size(); i++) {
            if (section.key().apply(rows.get(i)).equals(follows)) {
                return i + 1;
            }
        }
        return rows.size();
    }

    private Optional<T> value(ObjectNode is, ScenarioEdit edit) {
        try {
            return Optional.of(JsonText.read(is.toString(), section.read()));
        } catch (InvalidPlanException e) {
            leave(edit, "it cannot be read: " + e.problems().get(0).message());
            return Optional.empty();
        }
    }

    private void leave(ScenarioEdit edit, String why) {
        misfits.add(new Misfit(edit.section(), edit.key(), true, why));
        idle.add(edit);
    }
}
