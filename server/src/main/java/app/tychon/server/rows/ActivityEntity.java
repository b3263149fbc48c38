package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.Progress;
import app.tychon.core.model.WorkDuration;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonText;
import app.tychon.server.plan.RowEntity;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;

/** An activity, milestone or hammock. Duration and estimate are kept in the words of the project file. */
@Entity
@Table(name = "activity")
public class ActivityEntity extends RowEntity {
    private UUID branchId;
    private UUID calendarId;
    private String name;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private ActivityKind kind;

    private String duration;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private ConstraintType constraintType;

    private LocalDateTime constraintDate;
    private LocalDateTime actualStart;
    private LocalDateTime actualFinish;
    private String remaining;
    private String grade;

    @Column(columnDefinition = "longtext")
    private String estimate;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private CombineRisks combineRisks;

    private boolean watch;

    @Column(columnDefinition = "mediumtext")
    private String notes;

    @Version
    private int version;

    protected ActivityEntity() {}

    ActivityEntity(UUID projectId, int position, UUID branchId, UUID calendarId, Activity activity) {
        super(projectId, position, activity.id());
        update(branchId, calendarId, activity);
    }

    final void update(UUID branch, UUID calendar, Activity activity) {
        branchId = branch;
        calendarId = calendar;
        name = activity.name();
        kind = activity.kind();
        duration = activity.duration().toString();
        constraintType = activity.constraint().map(Constraint::type).orElse(null);
        constraintDate = activity.constraint().map(Constraint::date).orElse(null);
        actualStart = activity.progress().actualStart().orElse(null);
        actualFinish = activity.progress().actualFinish().orElse(null);
        remaining = activity.progress().remaining().map(WorkDuration::toString).orElse(null);
        grade = activity.grade().orElse(null);
        estimate =
                activity.estimate().map(EstimateJson::write).map(JsonText::of).orElse(null);
        combineRisks = activity.combineRisks();
        watch = activity.watch();
        notes = activity.notes().isEmpty() ? null : activity.notes();
    }

    Activity toCore(String branch, String calendar) {
        return new Activity(
                code(),
                branch,
                name,
                kind,
                WorkDuration.parse(duration).orElseThrow(),
                calendar,
                Optional.ofNullable(constraintType).map(type -> new Constraint(type, constraintDate)),
                new Progress(
                        Optional.ofNullable(actualStart),
                        Optional.ofNullable(actualFinish),
                        Optional.ofNullable(remaining).flatMap(WorkDuration::parse)),
                Optional.ofNullable(grade),
                Optional.ofNullable(estimate).map(text -> JsonText.read(text, at -> EstimateJson.read(at, Basis.DAYS))),
                combineRisks,
                watch,
                Optional.ofNullable(notes).orElse(""));
    }

    UUID branchId() {
        return branchId;
    }

    UUID calendarId() {
        return calendarId;
    }
}
