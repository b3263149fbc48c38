package app.tychon.server.risks;

import app.tychon.core.model.Plan;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;

/** Risks taken out of the register. */
record RiskRemoval(@Size(min = 1, max = 20_000) List<String> risks) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<String> gone = new ArrayList<>();
        Plan after = RiskCodes.without(plan, new HashSet<>(risks), gone);
        String what = risks.size() == 1 ? "Risk " + risks.get(0) : risks.size() + " risks";
        return new Outcome(after, what + " removed", gone);
    }
}
