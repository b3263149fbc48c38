package app.tychon.server.ranges;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A named level of estimate spread. */
@Entity
@Table(name = "grade")
public class GradeEntity extends PartEntity {
    protected GradeEntity() {}

    GradeEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
