package app.tychon.server.ranges;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** Estimates that move together. */
@Entity
@Table(name = "correlation")
public class CorrelationEntity extends PartEntity {
    protected CorrelationEntity() {}

    CorrelationEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
