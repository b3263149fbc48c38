package app.tychon.server.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;

/** How often something was tried in vain, one time after the other. */
@Entity
@Table(name = "failed_try")
class FailedTryEntity {
    @Id
    private String tried;

    private int times;
    private LocalDateTime lastAt;

    protected FailedTryEntity() {}

    int times() {
        return times;
    }

    LocalDateTime lastAt() {
        return lastAt;
    }
}
