package app.tychon.server.edits;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import java.util.List;

/** A change of a plan, as somebody asks for it. */
public interface Edit {
    /**
     * What an edit makes of a plan.
     *
     * @param label what it was, in words for the history
     * @param gone what went with rows that were removed
     * @param followed whether a scenario follows its plan
     */
    public record Outcome(Plan plan, String label, List<String> gone, boolean followed) {
        public Outcome(Plan plan, String label) {
            this(plan, label, List.of());
        }

        public Outcome(Plan plan, String label, List<String> gone) {
            this(plan, label, gone, false);
        }
    }

    /** @throws app.tychon.core.model.InvalidPlanException with every field that cannot be understood */
    Outcome apply(Plan plan);

    /** A problem of the plan that would result, told where the edit caused it. */
    default Problem told(Plan plan, Problem problem) {
        return problem;
    }
}
