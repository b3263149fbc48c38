package app.tychon.server.plan;

import app.tychon.core.model.Acceptance;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.WorkJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A finding of the plan check that is no fault. */
@Entity
@Table(name = "acceptance")
class AcceptanceEntity extends PartEntity {
    protected AcceptanceEntity() {}

    AcceptanceEntity(UUID projectId, int position, Acceptance accepted) {
        super(projectId, position, accepted.key(), JsonText.of(WorkJson.write(accepted)));
    }

    Acceptance toCore() {
        return JsonText.read(definition(), WorkJson::acceptance);
    }
}
