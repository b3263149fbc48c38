package app.tychon.server.costs;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** People, plant or material with a price. */
@Entity
@Table(name = "resource")
public class ResourceEntity extends PartEntity {
    protected ResourceEntity() {}

    ResourceEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
