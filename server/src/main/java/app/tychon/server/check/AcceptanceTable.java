package app.tychon.server.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class AcceptanceTable extends PartTable<Acceptance, AcceptanceEntity> {
    AcceptanceTable(PlanRecords records) {
        super(Sections.ACCEPTED, AcceptanceEntity.class, AcceptanceEntity::new, records);
    }
}
