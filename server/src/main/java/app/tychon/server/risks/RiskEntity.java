package app.tychon.server.risks;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A row of the risk register. */
@Entity
@Table(name = "risk")
public class RiskEntity extends PartEntity {
    protected RiskEntity() {}

    RiskEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
