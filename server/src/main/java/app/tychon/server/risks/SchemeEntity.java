package app.tychon.server.risks;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** How the risks of a project are scored. */
@Entity
@Table(name = "scoring_scheme")
public class SchemeEntity extends PartEntity {
    protected SchemeEntity() {}

    SchemeEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
