package app.tychon.server.costs;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** Money that becomes available. */
@Entity
@Table(name = "funding")
public class FundingEntity extends PartEntity {
    protected FundingEntity() {}

    FundingEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
