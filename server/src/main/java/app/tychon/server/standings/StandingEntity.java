package app.tychon.server.standings;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** Where a project was heading when that was worked out last. */
@Entity
@Table(name = "standing")
class StandingEntity {
    @Id
    private UUID projectId;

    private long revision;

    @Column(columnDefinition = "longtext")
    private String told;

    protected StandingEntity() {}

    StandingEntity(UUID projectId) {
        this.projectId = projectId;
    }

    void tell(long of, String json) {
        revision = of;
        told = json;
    }

    UUID projectId() {
        return projectId;
    }

    long revision() {
        return revision;
    }

    String told() {
        return told;
    }
}
