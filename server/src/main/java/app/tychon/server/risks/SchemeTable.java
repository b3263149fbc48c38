package app.tychon.server.risks;

import app.tychon.core.model.Scheme;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class SchemeTable extends PartTable<Scheme, SchemeEntity> {
    SchemeTable(PlanRecords records) {
        super(Sections.SCHEME, SchemeEntity.class, SchemeEntity::new, records);
    }
}
