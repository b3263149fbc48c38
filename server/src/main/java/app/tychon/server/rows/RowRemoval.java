package app.tychon.server.rows;

import app.tychon.core.model.Joining;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Pruning;
import app.tychon.server.edits.Edit;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;

/**
 * Rows taken out: activities, cost lines, or branches with all beneath them.
 *
 * @param join whether what came before them is to lead to what came after them; absent for not
 */
record RowRemoval(@Size(min = 1, max = 20_000) List<String> rows, @Nullable Boolean join) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        Pruning pruning = Pruning.of(plan, new HashSet<>(rows));
        Plan left = Boolean.TRUE.equals(join) ? Joining.across(plan, pruning.plan()) : pruning.plan();
        int count = plan.activities().size() - pruning.plan().activities().size();
        String what = rows.size() == 1 ? rows.get(0) : rows.size() + " rows";
        return new Outcome(left, what + " removed" + (count > 1 ? ", " + count + " activities" : ""), pruning.gone());
    }
}
