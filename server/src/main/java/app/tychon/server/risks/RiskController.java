package app.tychon.server.risks;

import app.tychon.server.plan.PlanStore;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class RiskController {
    private final PlanStore plans;

    RiskController(PlanStore plans) {
        this.plans = plans;
    }

    /** The register, in the order in which it is kept. */
    @GetMapping("/api/projects/{id}/risks")
    List<RiskView> risks(@PathVariable UUID id) {
        return plans.find(id).plan().risks().stream().map(RiskView::of).toList();
    }
}
