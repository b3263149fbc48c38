package app.tychon.server.edits;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** An edit as it is kept: who, when, what. */
@Entity
@Table(name = "change_set")
class ChangeSetEntity {
    enum State {
        /** An edit that can be taken back. */
        DONE,
        /** An edit that was taken back and can be done again. */
        UNDONE,
        /** An edit that was taken back before another was made. */
        DROPPED,
        /** That an edit was taken back or done again. */
        NOTE
    }

    @Id
    private UUID id;

    private UUID projectId;
    private long revision;
    private String person;
    private LocalDateTime madeAt;
    private String label;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private State state;

    @Column(columnDefinition = "longblob")
    private byte[] changes;

    protected ChangeSetEntity() {}

    ChangeSetEntity(UUID projectId, long revision, String person, String label, State state, byte[] changes) {
        id = Ids.next();
        this.projectId = projectId;
        this.revision = revision;
        this.person = person;
        this.label = label;
        this.state = state;
        this.changes = changes;
        madeAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    void setState(State now) {
        state = now;
    }

    long revision() {
        return revision;
    }

    String person() {
        return person;
    }

    Instant madeAt() {
        return madeAt.toInstant(ZoneOffset.UTC);
    }

    String label() {
        return label;
    }

    byte[] changes() {
        return changes;
    }
}
