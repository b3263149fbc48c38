package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.WbsNode;
import app.tychon.server.edits.Edit;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Rows put elsewhere: activities, or branches with all beneath them.
 *
 * @param into the branch they go into; absent for the top, which only branches can stand at
 * @param after the row of the same kind they go behind; absent to be the first there
 */
record RowMove(@Size(min = 1, max = 20_000) List<String> rows, @Nullable String into, @Nullable String after)
        implements Edit {

    @Override
    public Outcome apply(Plan plan) {
        Set<String> wanted = new HashSet<>(rows);
        List<Activity> activities =
                plan.activities().stream().filter(a -> wanted.contains(a.id())).toList();
        List<WbsNode> branches =
                plan.wbs().stream().filter(n -> wanted.contains(n.id())).toList();
        if (activities.size() + branches.size() < wanted.size()) {
            throw refused("/rows", "there is no such row in the plan");
        }
        if (into == null && !activities.isEmpty()) {
            throw refused("/into", "an activity must lie in a branch");
        }
        if (into != null && plan.wbs().stream().noneMatch(n -> n.id().equals(into))) {
            throw refused("/into", "there is no branch \"" + into + "\"");
        }
        Plan after = moved(moved(plan, branches), activities, wanted);
        String what = rows.size() == 1 ? rows.get(0) : rows.size() + " rows";
        return new Outcome(after, what + " moved");
    }

    private Plan moved(Plan plan, List<WbsNode> branches) {
        if (branches.isEmpty()) {
            return plan;
        }
        List<WbsNode> nodes = new ArrayList<>(plan.wbs());
        nodes.removeAll(branches);
        int at = place(nodes.stream().map(WbsNode::id).toList());
        if (at < 0) {
            // First among the children of its new parent.
            at = 0;
            while (at < nodes.size() && !Objects.equals(nodes.get(at).parent().orElse(null), into)) {
                at++;
            }
        }
        nodes.addAll(
                at,
                branches.stream()
                        .map(n -> n.withParent(Optional.ofNullable(into)))
                        .toList());
        return plan.edit().wbs(Outlining.renumbered(nodes, plan.wbs())).done();
    }

    private Plan moved(Plan plan, List<Activity> activities, Set<String> wanted) {
        if (activities.isEmpty()) {
            return plan;
        }
        List<Activity> rest = new ArrayList<>(plan.activities());
        rest.removeIf(a -> wanted.contains(a.id()));
        int at = place(rest.stream().map(Activity::id).toList());
        if (at < 0) {
            at = 0;
            while (at < rest.size() && !rest.get(at).wbs().equals(into)) {
                at++;
            }
        }
        rest.addAll(at, activities.stream().map(a -> a.withWbs(into)).toList());
        return plan.withActivities(rest);
    }

    /** Behind the row named, or below zero where none is. */
    private int place(List<String> ids) {
        int behind = after == null ? -1 : ids.indexOf(after);
        return behind < 0 ? -1 : behind + 1;
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return new Problem("/into", problem.message());
    }

    private static InvalidPlanException refused(String pointer, String message) {
        return new InvalidPlanException(List.of(new Problem(pointer, message)));
    }
}
