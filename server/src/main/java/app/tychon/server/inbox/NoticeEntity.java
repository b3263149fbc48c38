package app.tychon.server.inbox;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** Something that waits for somebody. */
@Entity
@Table(name = "notice")
class NoticeEntity {
    @Id
    private UUID id;

    private UUID accountId;
    private UUID projectId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private NoticeKind kind;

    private String section;
    private String objectKey;
    private UUID byAccount;

    @Column(columnDefinition = "text")
    private String words;

    private LocalDateTime madeAt;
    private LocalDateTime readAt;

    protected NoticeEntity() {}

    NoticeEntity(UUID accountId, UUID projectId, NoticeKind kind, About about, UUID byAccount, String words) {
        id = Ids.next();
        this.accountId = accountId;
        this.projectId = projectId;
        this.kind = kind;
        section = about.section();
        objectKey = about.key();
        this.byAccount = byAccount;
        this.words = words;
        madeAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    NoticeKind kind() {
        return kind;
    }

    About about() {
        return new About(section, objectKey);
    }

    UUID byAccount() {
        return byAccount;
    }

    String words() {
        return words;
    }

    LocalDateTime madeAt() {
        return madeAt;
    }

    boolean read() {
        return readAt != null;
    }
}
