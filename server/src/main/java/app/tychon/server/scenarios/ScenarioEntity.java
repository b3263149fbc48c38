package app.tychon.server.scenarios;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** How a plan could be otherwise. */
@Entity
@Table(name = "scenario")
public class ScenarioEntity extends PartEntity {
    protected ScenarioEntity() {}

    ScenarioEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
