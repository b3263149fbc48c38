package app.tychon.server.plan;

import app.tychon.core.model.Correlation;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.SpreadJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** Estimates that move together. */
@Entity
@Table(name = "correlation")
class CorrelationEntity extends PartEntity {
    protected CorrelationEntity() {}

    CorrelationEntity(UUID projectId, int position, Correlation correlation) {
        super(projectId, position, correlation.id(), JsonText.of(SpreadJson.write(correlation)));
    }

    Correlation toCore() {
        return JsonText.read(definition(), SpreadJson::correlation);
    }
}
