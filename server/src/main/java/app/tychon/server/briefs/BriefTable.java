package app.tychon.server.briefs;

import app.tychon.core.model.Brief;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class BriefTable extends PartTable<Brief, BriefEntity> {
    BriefTable(PlanRecords records) {
        super(Sections.BRIEFS, BriefEntity.class, BriefEntity::new, records);
    }
}
