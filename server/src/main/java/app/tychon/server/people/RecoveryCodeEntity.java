package app.tychon.server.people;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What somebody comes in with once, where the app with their codes is lost. */
@Entity
@Table(name = "recovery_code")
class RecoveryCodeEntity {
    @Id
    private UUID id;

    private UUID accountId;

    @Column(columnDefinition = "binary(32)")
    private byte[] digest;

    protected RecoveryCodeEntity() {}

    RecoveryCodeEntity(UUID accountId, byte[] digest) {
        id = Ids.next();
        this.accountId = accountId;
        this.digest = digest;
    }
}
