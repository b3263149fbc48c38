package app.tychon.server.check;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A finding of the plan check that is no fault. */
@Entity
@Table(name = "acceptance")
public class AcceptanceEntity extends PartEntity {
    protected AcceptanceEntity() {}

    AcceptanceEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
