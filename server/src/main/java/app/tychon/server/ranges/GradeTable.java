package app.tychon.server.ranges;

import app.tychon.core.model.Grade;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class GradeTable extends PartTable<Grade, GradeEntity> {
    GradeTable(PlanRecords records) {
        super(Sections.GRADES, GradeEntity.class, GradeEntity::new, records);
    }
}
