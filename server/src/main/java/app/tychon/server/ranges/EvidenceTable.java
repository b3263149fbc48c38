package app.tychon.server.ranges;

import app.tychon.core.model.Evidence;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class EvidenceTable extends PartTable<Evidence, EvidenceEntity> {
    EvidenceTable(PlanRecords records) {
        super(Sections.EVIDENCE, EvidenceEntity.class, EvidenceEntity::new, records);
    }
}
