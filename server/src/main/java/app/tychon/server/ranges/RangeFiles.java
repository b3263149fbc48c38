package app.tychon.server.ranges;

import app.tychon.core.model.Plan;
import app.tychon.exchange.ranges.RangeReader;
import app.tychon.exchange.table.Table;
import app.tychon.server.plan.PlanStore;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Tables of ranges looked at before anything is kept. */
@Service
class RangeFiles {
    private final PlanStore plans;

    RangeFiles(PlanStore plans) {
        this.plans = plans;
    }

    RangePreview preview(UUID project, Table table) {
        Plan plan = plans.find(project).plan();
        return RangePreview.of(plan, RangeReader.read(table, plan));
    }
}
