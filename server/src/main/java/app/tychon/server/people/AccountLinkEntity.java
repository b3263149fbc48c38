package app.tychon.server.people;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.util.UUID;

/** A link by which somebody sets a password, once. */
@Entity
@Table(name = "account_link")
class AccountLinkEntity {
    @Id
    private UUID id;

    private UUID accountId;

    @Column(columnDefinition = "binary(32)")
    private byte[] digest;

    private LocalDateTime expiresAt;

    protected AccountLinkEntity() {}

    AccountLinkEntity(UUID accountId, byte[] digest, LocalDateTime expiresAt) {
        id = Ids.next();
        this.accountId = accountId;
        this.digest = digest;
        this.expiresAt = expiresAt;
    }

    UUID accountId() {
        return accountId;
    }
}
