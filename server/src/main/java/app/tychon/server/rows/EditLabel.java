package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What an edit of activities was, in words for the history: "Duration of S10", "12 activities added". */
final class EditLabel {
    private EditLabel() {}

    static String of(List<RowEdit> edits, NewActivities added, Plan before) {
        int changed = edits.size() - added.count();
        if (added.count() == 1 && changed == 0) {
            return "New activity " + added.idOf(0);
        }
        if (added.count() > 0) {
            return added.count() + " activities added" + (changed == 0 ? "" : ", " + changed + " edited");
        }
        String what = String.join(" and ", fields(edits));
        if (edits.size() > 1) {
            return what + " of " + edits.size() + " activities";
        }
        String id = edits.get(0).id();
        return what + " of " + id
                + before.activities().stream()
                        .filter(a -> a.id().equals(id))
                        .map(Activity::name)
                        .findFirst()
                        .map(name -> ", " + name)
                        .orElse("");
    }

    private static List<String> fields(List<RowEdit> edits) {
        Map<String, Boolean> fields = new LinkedHashMap<>();
        for (RowEdit edit : edits) {
            fields.merge("Code", edit.code() != null, Boolean::logicalOr);
            fields.merge("Name", edit.name() != null, Boolean::logicalOr);
            fields.merge("Kind", edit.kind() != null, Boolean::logicalOr);
            fields.merge("Duration", edit.duration() != null, Boolean::logicalOr);
            fields.merge("Predecessors", edit.predecessors() != null, Boolean::logicalOr);
            fields.merge("Branch", edit.wbs() != null, Boolean::logicalOr);
            fields.merge("Calendar", edit.calendar() != null, Boolean::logicalOr);
            fields.merge("Constraint", edit.constraint() != null, Boolean::logicalOr);
            fields.merge(
                    "Progress",
                    edit.actualStart() != null || edit.actualFinish() != null || edit.remaining() != null,
                    Boolean::logicalOr);
            fields.merge("Grade", edit.grade() != null, Boolean::logicalOr);
            fields.merge("Resources", edit.crew() != null, Boolean::logicalOr);
            fields.merge("Watching", edit.watch() != null, Boolean::logicalOr);
            fields.merge("How risks combine", edit.combineRisks() != null, Boolean::logicalOr);
            fields.merge("Notes", edit.notes() != null, Boolean::logicalOr);
            fields.merge("Range", edit.estimate() != null || edit.certain() != null, Boolean::logicalOr);
        }
        List<String> named = fields.entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .toList();
        return named.isEmpty() ? List.of("Nothing") : named.size() > 2 ? List.of("Several fields") : named;
    }
}
