package app.tychon.server.project;

import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;

/** A project. Its revision counts the changes of its inputs; moments of record are in UTC. */
@Entity
@Table(name = "project")
public class ProjectEntity {
    @Id
    private UUID id;

    private String code;
    private String name;

    @Column(columnDefinition = "char(3)")
    private String currency;

    private LocalDateTime startAt;
    private LocalDateTime dataDate;
    private String calendar;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private LagCalendar lagCalendar;

    private LocalDateTime targetFinish;
    private Double targetCost;
    private int confidence;
    private long revision;
    private long inputsRevision;
    private LocalDateTime createdAt;
    private LocalDateTime editedAt;
    private LocalDateTime plannedFinish;
    private LocalDateTime archivedAt;
    private LocalDateTime deletedAt;
    private UUID scenarioOf;
    private String scenario;
    private String scenarioName;
    private String draws;
    private boolean programme;

    protected ProjectEntity() {}

    /** @param id that no other project has */
    public ProjectEntity(Project project, UUID id) {
        this.id = id;
        update(project);
        revision = 1;
        inputsRevision = 1;
        createdAt = LocalDateTime.now(ZoneOffset.UTC);
        editedAt = createdAt;
    }

    /** Takes over what the plan says of the project itself. */
    public final void update(Project project) {
        code = project.id();
        name = project.name();
        currency = project.currency();
        startAt = project.start();
        dataDate = project.dataDate().orElse(null);
        calendar = project.calendar();
        lagCalendar = project.lagCalendar();
        targetFinish = project.targets().finish().orElse(null);
        targetCost = project.targets().cost().orElse(null);
        confidence = project.targets().confidence();
        draws = project.draws();
    }

    public Project toCore() {
        return new Project(
                code,
                name,
                currency,
                startAt,
                Optional.ofNullable(dataDate),
                calendar,
                lagCalendar,
                new Targets(Optional.ofNullable(targetFinish), Optional.ofNullable(targetCost), confidence),
                draws);
    }

    public Instant createdAt() {
        return createdAt.toInstant(ZoneOffset.UTC);
    }

    public Shelf shelf() {
        return deletedAt != null ? Shelf.DELETED : archivedAt != null ? Shelf.ARCHIVED : Shelf.OPEN;
    }

    public void putOn(Shelf shelf) {
        LocalDateTime now = LocalDateTime.now(ZoneOffset.UTC);
        archivedAt = shelf == Shelf.ARCHIVED ? now : null;
        deletedAt = shelf == Shelf.DELETED ? now : null;
    }

    /** When the plan ends without uncertainty. */
    public void setPlannedFinish(LocalDateTime finish) {
        plannedFinish = finish;
    }

    public Optional<LocalDateTime> plannedFinish() {
        return Optional.ofNullable(plannedFinish);
    }

    /**
     * Notes that something was edited.
     *
     * @param simulated whether it is something that is simulated
     */
    public void changed(boolean simulated) {
        revision++;
        if (simulated) {
            inputsRevision = revision;
        }
        editedAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    /** Makes it the place where a scenario of another project is worked in. */
    public void becomeScenario(UUID of, String code, String calledName) {
        scenarioOf = of;
        scenario = code;
        scenarioName = calledName;
    }

    /** The project of which this is a scenario; nothing for a project of its own. */
    public Optional<UUID> scenarioOf() {
        return Optional.ofNullable(scenarioOf);
    }

    /** The code of the scenario that it is. */
    public String scenario() {
        return scenario;
    }

    public String scenarioName() {
        return scenarioName;
    }

    /** Its plan is made of those of other projects from now on. */
    public void becomeProgramme() {
        programme = true;
    }

    public boolean isProgramme() {
        return programme;
    }

    public long inputsRevision() {
        return inputsRevision;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public long revision() {
        return revision;
    }

    public LocalDateTime editedAt() {
        return editedAt;
    }
}
