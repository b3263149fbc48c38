package app.tychon.server.programmes;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** What the plan of a programme says of one of its projects as a whole. */
@Entity
@Table(name = "plan_part")
public class PlanPartEntity extends PartEntity {
    protected PlanPartEntity() {}

    PlanPartEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
