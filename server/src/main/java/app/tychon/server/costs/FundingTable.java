package app.tychon.server.costs;

import app.tychon.core.model.Funding;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class FundingTable extends PartTable<Funding, FundingEntity> {
    FundingTable(PlanRecords records) {
        super(Sections.FUNDING, FundingEntity.class, FundingEntity::new, records);
    }
}
