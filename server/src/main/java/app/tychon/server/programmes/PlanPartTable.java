package app.tychon.server.programmes;

import app.tychon.core.model.Part;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class PlanPartTable extends PartTable<Part, PlanPartEntity> {
    PlanPartTable(PlanRecords records) {
        super(Sections.PARTS, PlanPartEntity.class, PlanPartEntity::new, records);
    }
}
