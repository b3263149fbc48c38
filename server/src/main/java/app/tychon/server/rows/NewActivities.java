package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.WbsNode;
import app.tychon.core.model.WorkDuration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The activities that edits add: where they go, and what they are called. */
final class NewActivities {
    private static final String UNNAMED = "New activity";

    private final Plan plan;
    private final List<String> ids = new ArrayList<>();
    private int count;

    NewActivities(Plan before, List<RowEdit> edits, List<Problem> problems) {
        Codes codes = new Codes(before);
        RowChain rows = new RowChain(before.activities());
        Map<String, WbsNode> branches = new HashMap<>();
        before.wbs().forEach(node -> branches.put(node.id(), node));
        String calendar = before.project().calendar();
        for (int i = 0; i < edits.size(); i++) {
            RowEdit edit = edits.get(i);
            if (!edit.isNew()) {
                ids.add(edit.id());
                continue;
            }
            // Rows of one paste follow each other.
            String after = edit.after() == null && i > 0 && edits.get(i - 1).isNew() ? ids.get(i - 1) : edit.after();
            Optional<Activity> at = Optional.ofNullable(after).flatMap(rows::find);
            String branch = edit.wbs() != null
                    ? edit.wbs().asText()
                    : at.map(Activity::wbs).orElse(branches.containsKey(after) ? after : lastBranch(before));
            if (branch == null || !branches.containsKey(branch)) {
                problems.add(new Problem("/" + i + "/wbs", "the plan has no such branch; add a branch first"));
                ids.add(edit.id());
                continue;
            }
            String id = edit.id().isBlank()
                    ? codes.next(after == null ? branch : after)
                    : edit.id().strip();
            if (!codes.take(id)) {
                problems.add(new Problem("/" + i + "/id", "there is already a row \"" + id + "\""));
            }
            ids.add(id);
            Activity fresh = Activity.of(id, branch, UNNAMED, ActivityKind.TASK, WorkDuration.days(1), calendar);
            if (at.isPresent()) {
                rows.addAfter(after, fresh);
            } else {
                rows.addIn(branch, branch.equals(edit.after()), fresh);
            }
            count++;
        }
        plan = count == 0 ? before : before.withActivities(rows.all());
    }

    private static String lastBranch(Plan plan) {
        return plan.wbs().isEmpty()
                ? null
                : plan.wbs().get(plan.wbs().size() - 1).id();
    }

    /** The plan with the new rows in it, still empty. */
    Plan plan() {
        return plan;
    }

    /** The code of the activity that an edit is about. */
    String idOf(int edit) {
        return ids.get(edit);
    }

    int count() {
        return count;
    }
}
