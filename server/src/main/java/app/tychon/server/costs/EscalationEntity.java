package app.tychon.server.costs;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** By how much prices of a category rise. */
@Entity
@Table(name = "escalation")
public class EscalationEntity extends PartEntity {
    protected EscalationEntity() {}

    EscalationEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
