package app.tychon.server.briefs;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** A link by which an issued brief is read; whoever has it may, until it is withdrawn. */
@Entity
@Table(name = "brief_link")
public class ReadingLinkEntity {
    @Id
    private UUID id;

    private UUID issueId;

    @Column(columnDefinition = "binary(32)")
    private byte[] digest;

    private LocalDateTime madeAt;
    private LocalDateTime withdrawnAt;

    protected ReadingLinkEntity() {}

    ReadingLinkEntity(UUID issueId, byte[] digest) {
        id = Ids.next();
        this.issueId = issueId;
        this.digest = digest;
        madeAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    UUID id() {
        return id;
    }

    UUID issueId() {
        return issueId;
    }

    LocalDateTime madeAt() {
        return madeAt;
    }

    LocalDateTime withdrawnAt() {
        return withdrawnAt;
    }
}
