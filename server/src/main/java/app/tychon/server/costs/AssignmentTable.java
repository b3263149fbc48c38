package app.tychon.server.costs;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PlanRecords;
import app.tychon.server.plan.PlanRows;
import app.tychon.server.rows.ActivityEntity;
import app.tychon.server.rows.IntoTable;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

@Component
class AssignmentTable extends IntoTable<Assignment> {
    AssignmentTable(PlanRecords records) {
        super(Sections.ASSIGNMENTS, AssignmentEntity.class, records);
    }

    @Override
    protected List<Assignment> read(PlanRows rows) {
        Map<UUID, String> activities = rows.codes(ActivityEntity.class);
        Map<UUID, String> resources = rows.codes(ResourceEntity.class);
        return rows.map(
                AssignmentEntity.class,
                row -> row.toCore(activities.get(row.activityId()), resources.get(row.resourceId())));
    }

    @Override
    protected Maker<Assignment> maker(UUID project, Map<String, UUID> activities) {
        Map<String, UUID> resources = records.keys(project, ResourceEntity.class);
        return (at, one) -> new AssignmentEntity(
                project, at, activities.get(one.activity()), resources.get(one.resource()), one.units());
    }

    @Override
    protected void delete(List<UUID> activities) {
        records.delete("delete from AssignmentEntity e where e.activityId in :keys", activities);
    }
}
