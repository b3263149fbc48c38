package app.tychon.server.risks;

import app.tychon.core.simulation.RiskSize;
import app.tychon.server.plan.LoadedPlan;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * The register as of a revision of the plan.
 *
 * @param scheme how it is scored; absent where the project has none
 */
record RegisterView(long revision, List<RiskView> risks, @Nullable SchemeView scheme) {
    static RegisterView of(LoadedPlan plan) {
        RiskSize.Sizing sizing = new RiskSize.Sizing(plan.network());
        return new RegisterView(
                plan.revision(),
                plan.plan().risks().stream()
                        .map(risk -> RiskView.of(risk, sizing, plan.plan().scheme()))
                        .toList(),
                plan.plan().scheme().map(SchemeView::of).orElse(null));
    }
}
