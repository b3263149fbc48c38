package app.tychon.server.briefs;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A page that leaves somebody a decision. */
@Entity
@Table(name = "brief")
public class BriefEntity extends PartEntity {
    protected BriefEntity() {}

    BriefEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
