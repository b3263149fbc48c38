package app.tychon.server.risks;

import app.tychon.core.model.Risk;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class RiskTable extends PartTable<Risk, RiskEntity> {
    RiskTable(PlanRecords records) {
        super(Sections.RISKS, RiskEntity.class, RiskEntity::new, records);
    }
}
