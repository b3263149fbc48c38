package app.tychon.server.rights;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;

/** That somebody takes part in a project. */
@Entity
@Table(name = "membership")
public class MembershipEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private UUID accountId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Role role;

    private String ownerName;
    private LocalDateTime since;

    protected MembershipEntity() {}

    public MembershipEntity(UUID projectId, UUID accountId, Role role) {
        id = Ids.next();
        this.projectId = projectId;
        this.accountId = accountId;
        this.role = role;
        since = LocalDateTime.now(ZoneOffset.UTC);
    }

    public UUID projectId() {
        return projectId;
    }

    public UUID accountId() {
        return accountId;
    }

    public Role role() {
        return role;
    }

    public void become(Role other) {
        role = other;
    }

    /** What the register calls them as owner of risks, where it is not their name. */
    public Optional<String> ownerName() {
        return Optional.ofNullable(ownerName);
    }

    public void callOwner(String name) {
        ownerName = name;
    }
}
