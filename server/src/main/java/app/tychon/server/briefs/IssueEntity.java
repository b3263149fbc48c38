package app.tychon.server.briefs;

import app.tychon.server.database.Ids;
import app.tychon.server.runs.RunView;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** A brief as it was issued, once and for all. */
@Entity
@Table(name = "brief_issue")
public class IssueEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private String brief;
    private int number;
    private String title;
    private UUID runId;
    private int runNumber;
    private LocalDateTime issuedAt;
    private String issuedBy;
    private long bytes;

    protected IssueEntity() {}

    IssueEntity(UUID projectId, String brief, int number, String title, RunView run, String person, long bytes) {
        id = Ids.next();
        this.projectId = projectId;
        this.brief = brief;
        this.number = number;
        this.title = title;
        runId = run.id();
        runNumber = run.number();
        issuedAt = LocalDateTime.now(ZoneOffset.UTC);
        issuedBy = person;
        this.bytes = bytes;
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    String brief() {
        return brief;
    }

    int number() {
        return number;
    }

    String title() {
        return title;
    }

    int runNumber() {
        return runNumber;
    }

    LocalDateTime issuedAt() {
        return issuedAt;
    }
}
