package app.tychon.server.comments;

import app.tychon.server.database.Ids;
import app.tychon.server.inbox.About;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** What somebody has said of something. */
@Entity
@Table(name = "comment")
class CommentEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private String section;
    private String objectKey;
    private UUID answerTo;
    private UUID accountId;

    @Column(columnDefinition = "text")
    private String words;

    private LocalDateTime madeAt;
    private LocalDateTime editedAt;
    private LocalDateTime resolvedAt;
    private UUID resolvedBy;

    protected CommentEntity() {}

    CommentEntity(UUID projectId, About about, UUID answerTo, UUID accountId, String words) {
        id = Ids.next();
        this.projectId = projectId;
        section = about.section();
        objectKey = about.key();
        this.answerTo = answerTo;
        this.accountId = accountId;
        this.words = words;
        madeAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    void say(String other) {
        words = other;
        editedAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    void resolve(UUID by) {
        resolvedAt = LocalDateTime.now(ZoneOffset.UTC);
        resolvedBy = by;
    }

    void open() {
        resolvedAt = null;
        resolvedBy = null;
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    About about() {
        return new About(section, objectKey);
    }

    UUID answerTo() {
        return answerTo;
    }

    UUID accountId() {
        return accountId;
    }

    String words() {
        return words;
    }

    LocalDateTime madeAt() {
        return madeAt;
    }

    LocalDateTime editedAt() {
        return editedAt;
    }

    LocalDateTime resolvedAt() {
        return resolvedAt;
    }

    UUID resolvedBy() {
        return resolvedBy;
    }
}
