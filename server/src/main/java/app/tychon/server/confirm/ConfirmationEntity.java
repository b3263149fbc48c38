package app.tychon.server.confirm;

import app.tychon.server.database.Ids;
import app.tychon.server.inbox.About;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** That somebody is asked whether something holds, and what they said. */
@Entity
@Table(name = "confirmation")
class ConfirmationEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private String section;
    private String objectKey;
    private UUID accountId;
    private UUID askedBy;
    private LocalDateTime askedAt;
    private LocalDateTime answeredAt;
    private Boolean holds;

    @Column(columnDefinition = "text")
    private String note;

    @Column(columnDefinition = "binary(32)")
    private byte[] digest;

    protected ConfirmationEntity() {}

    ConfirmationEntity(UUID projectId, About about) {
        id = Ids.next();
        this.projectId = projectId;
        section = about.section();
        objectKey = about.key();
    }

    /** Asks anew; what was said before is no longer of interest. */
    void ask(UUID whom, UUID by) {
        accountId = whom;
        askedBy = by;
        askedAt = LocalDateTime.now(ZoneOffset.UTC);
        answeredAt = null;
        holds = null;
        note = null;
        digest = null;
    }

    /** @param of digest of what it is said of */
    void answer(boolean itHolds, String remark, byte[] of) {
        answeredAt = LocalDateTime.now(ZoneOffset.UTC);
        holds = itHolds;
        note = remark;
        digest = of.clone();
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

    UUID accountId() {
        return accountId;
    }

    UUID askedBy() {
        return askedBy;
    }

    LocalDateTime askedAt() {
        return askedAt;
    }

    LocalDateTime answeredAt() {
        return answeredAt;
    }

    Boolean holds() {
        return holds;
    }

    String note() {
        return note;
    }

    byte[] digest() {
        return digest == null ? new byte[0] : digest.clone();
    }
}
