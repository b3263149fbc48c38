package app.tychon.server.plan;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.WorkDuration;
import app.tychon.exchange.JsonText;
import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;

/** An activity or milestone. Duration and estimate are kept in the words of the project file. */
@Entity
@Table(name = "activity")
class ActivityEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private UUID branchId;
    private UUID calendarId;
    private String code;
    private String name;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private ActivityKind kind;

    private String duration;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private ConstraintType constraintType;

    private LocalDateTime constraintDate;

    @Column(columnDefinition = "longtext")
    private String estimate;

    private int position;

    @Version
    private int version;

    protected ActivityEntity() {}

    ActivityEntity(UUID projectId, int position, UUID branchId, UUID calendarId, Activity activity) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        this.branchId = branchId;
        this.calendarId = calendarId;
        code = activity.id();
        kind = activity.kind();
        constraintType = activity.constraint().map(Constraint::type).orElse(null);
        constraintDate = activity.constraint().map(Constraint::date).orElse(null);
        update(activity);
    }

    /** Takes over what can be edited in place: name, duration, estimate. */
    final void update(Activity activity) {
        name = activity.name();
        duration = activity.duration().toString();
        estimate = activity.estimate().map(JsonText::of).orElse(null);
    }

    Activity toCore(String branch, String calendar) {
        return new Activity(
                code,
                branch,
                name,
                kind,
                WorkDuration.parse(duration).orElseThrow(),
                calendar,
                Optional.ofNullable(constraintType).map(type -> new Constraint(type, constraintDate)),
                Optional.ofNullable(estimate).map(JsonText::estimate));
    }

    UUID id() {
        return id;
    }

    UUID branchId() {
        return branchId;
    }

    UUID calendarId() {
        return calendarId;
    }

    String code() {
        return code;
    }
}
