package app.tychon.server.costs;

import app.tychon.core.model.Assignment;
import app.tychon.server.database.Ids;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A resource at work on an activity. */
@Entity
@Table(name = "assignment")
public class AssignmentEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private UUID activityId;
    private UUID resourceId;
    private double units;
    private int position;

    protected AssignmentEntity() {}

    AssignmentEntity(UUID projectId, int position, UUID activityId, UUID resourceId, double units) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        this.activityId = activityId;
        this.resourceId = resourceId;
        this.units = units;
    }

    Assignment toCore(String activity, String resource) {
        return new Assignment(activity, resource, units);
    }

    UUID activityId() {
        return activityId;
    }

    UUID resourceId() {
        return resourceId;
    }
}
