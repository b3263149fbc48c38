package app.tychon.server.plan;

import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.RiskJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A row of the risk register. */
@Entity
@Table(name = "risk")
class RiskEntity extends PartEntity {
    protected RiskEntity() {}

    RiskEntity(UUID projectId, int position, Risk risk) {
        super(projectId, position, risk.id(), JsonText.of(RiskJson.write(risk)));
    }

    Risk toCore() {
        return JsonText.read(definition(), RiskJson::read);
    }
}
