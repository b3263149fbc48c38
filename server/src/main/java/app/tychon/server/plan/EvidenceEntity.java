package app.tychon.server.plan;

import app.tychon.core.model.Evidence;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.SpreadJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** What similar work really took. */
@Entity
@Table(name = "evidence")
class EvidenceEntity extends PartEntity {
    protected EvidenceEntity() {}

    EvidenceEntity(UUID projectId, int position, Evidence evidence) {
        super(projectId, position, evidence.id(), JsonText.of(SpreadJson.write(evidence)));
    }

    Evidence toCore() {
        return JsonText.read(definition(), SpreadJson::evidence);
    }
}
