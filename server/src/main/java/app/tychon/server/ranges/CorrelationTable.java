package app.tychon.server.ranges;

import app.tychon.core.model.Correlation;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class CorrelationTable extends PartTable<Correlation, CorrelationEntity> {
    CorrelationTable(PlanRecords records) {
        super(Sections.CORRELATIONS, CorrelationEntity.class, CorrelationEntity::new, records);
    }
}
