package app.tychon.server.people;

import app.tychon.server.database.Ids;
import app.tychon.server.rights.Who;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/** What a program uses the interface with in somebody's name. */
@Entity
@Table(name = "api_token")
class ApiTokenEntity {
    @Id
    private UUID id;

    private UUID accountId;
    private String name;

    @Column(columnDefinition = "binary(32)")
    private byte[] digest;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Who.Scope scope;

    private UUID projectId;
    private LocalDateTime madeAt;
    private LocalDateTime expiresAt;
    private LocalDateTime usedAt;

    protected ApiTokenEntity() {}

    ApiTokenEntity(UUID accountId, String name, byte[] digest, Who.Scope scope, UUID projectId, int days) {
        id = Ids.next();
        this.accountId = accountId;
        this.name = name;
        this.digest = digest;
        this.scope = scope;
        this.projectId = projectId;
        madeAt = LocalDateTime.now(ZoneOffset.UTC);
        expiresAt = madeAt.plusDays(days);
    }

    UUID id() {
        return id;
    }

    UUID accountId() {
        return accountId;
    }

    String name() {
        return name;
    }

    Who.Scope scope() {
        return scope;
    }

    UUID projectId() {
        return projectId;
    }

    LocalDateTime madeAt() {
        return madeAt;
    }

    LocalDateTime expiresAt() {
        return expiresAt;
    }

    LocalDateTime usedAt() {
        return usedAt;
    }

    void used(LocalDateTime now) {
        usedAt = now;
    }

    Who who() {
        return new Who(Who.Kind.PERSON, accountId, scope, projectId);
    }
}
