package app.tychon.server.ranges;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** What similar work really took. */
@Entity
@Table(name = "evidence")
public class EvidenceEntity extends PartEntity {
    protected EvidenceEntity() {}

    EvidenceEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
