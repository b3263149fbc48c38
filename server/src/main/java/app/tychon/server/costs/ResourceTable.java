package app.tychon.server.costs;

import app.tychon.core.model.Resource;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class ResourceTable extends PartTable<Resource, ResourceEntity> {
    ResourceTable(PlanRecords records) {
        super(Sections.RESOURCES, ResourceEntity.class, ResourceEntity::new, records);
    }
}
