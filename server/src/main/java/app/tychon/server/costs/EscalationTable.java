package app.tychon.server.costs;

import app.tychon.core.model.Escalation;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class EscalationTable extends PartTable<Escalation, EscalationEntity> {
    EscalationTable(PlanRecords records) {
        super(Sections.ESCALATION, EscalationEntity.class, EscalationEntity::new, records);
    }
}
