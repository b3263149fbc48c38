package app.tychon.core.model;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Which estimate counts for an activity or a cost line: its own, or that of its own grade, or that of the grade of the
 * nearest branch above it that has one; else none, and it is certain.
 */
public final class Estimates {
    private final Map<String, WbsNode> branches = new HashMap<>();
    private final Map<String, Grade> grades = new HashMap<>();
    private final Map<String, String> branchOfActivity = new HashMap<>();

    private Estimates(Plan plan) {
        plan.wbs().forEach(b -> branches.put(b.id(), b));
        plan.grades().forEach(g -> grades.put(g.id(), g));
        plan.activities().forEach(a -> branchOfActivity.put(a.id(), a.wbs()));
    }

    public static Estimates of(Plan plan) {
        return new Estimates(plan);
    }

    public Optional<Estimate> of(Activity activity) {
        if (activity.kind() != ActivityKind.TASK) {
            return Optional.empty();
        }
        return activity.estimate().or(() -> gradeOf(activity).map(Grade::estimate));
    }

    public Optional<Estimate> of(CostLine line) {
        return line.estimate().or(() -> gradeOf(line).map(Grade::estimate));
    }

    /** The grade that counts where there is no estimate of its own. */
    public Optional<Grade> gradeOf(Activity activity) {
        return activity.grade().map(grades::get).or(() -> inherited(activity.wbs()));
    }

    /** The grade that counts where there is no estimate of its own. */
    public Optional<Grade> gradeOf(CostLine line) {
        return line.grade().map(grades::get).or(() -> inheritedBy(line));
    }

    /** The grade a cost line has of the branch it stands in. */
    public Optional<Grade> inheritedBy(CostLine line) {
        return inherited(branchOfActivity.getOrDefault(line.on(), line.on()));
    }

    /** The grade that holds in a branch: its own, or that of the nearest above it. */
    public Optional<Grade> inherited(String branch) {
        WbsNode at = branches.get(branch);
        while (at != null && at.grade().isEmpty()) {
            at = at.parent().map(branches::get).orElse(null);
        }
        return Optional.ofNullable(at).flatMap(WbsNode::grade).map(grades::get);
    }
}
