package app.tychon.server.costs;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PlanRecords;
import app.tychon.server.plan.PlanRows;
import app.tychon.server.plan.RowTable;
import app.tychon.server.rows.ActivityEntity;
import app.tychon.server.rows.BranchEntity;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

@Component
class CostLineTable extends RowTable<CostLine, CostLineEntity> {
    CostLineTable(PlanRecords records) {
        super(Sections.COSTS, CostLineEntity.class, records);
    }

    @Override
    protected List<CostLine> read(PlanRows rows) {
        Map<UUID, String> activities = rows.codes(ActivityEntity.class);
        Map<UUID, String> branches = rows.codes(BranchEntity.class);
        return rows.map(CostLineEntity.class, row -> row.toCore(on(row, activities, branches)));
    }

    private static String on(CostLineEntity line, Map<UUID, String> activities, Map<UUID, String> branches) {
        if (line.activityId() != null) {
            return activities.get(line.activityId());
        }
        return line.branchId() == null ? Plan.PROJECT : branches.get(line.branchId());
    }

    @Override
    protected Runnable write(UUID project, List<CostLine> before, List<CostLine> after) {
        Map<String, UUID> activities = records.keys(project, ActivityEntity.class);
        Map<String, UUID> branches = records.keys(project, BranchEntity.class);
        return write(
                project,
                before,
                after,
                (id, at, line) -> new CostLineEntity(id, at, activities.get(line.on()), branches.get(line.on()), line),
                (row, line) -> row.update(activities.get(line.on()), branches.get(line.on()), line));
    }
}
