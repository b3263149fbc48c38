package app.tychon.server.plan;

import app.tychon.core.model.Grade;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.SpreadJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A named level of estimate spread. */
@Entity
@Table(name = "grade")
class GradeEntity extends PartEntity {
    protected GradeEntity() {}

    GradeEntity(UUID projectId, int position, Grade grade) {
        super(projectId, position, grade.id(), JsonText.of(SpreadJson.write(grade)));
    }

    Grade toCore() {
        return JsonText.read(definition(), SpreadJson::grade);
    }
}
