package app.tychon.server.plan;

import app.tychon.core.model.Resource;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.MoneyJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** People, plant or material with a price. */
@Entity
@Table(name = "resource")
class ResourceEntity extends PartEntity {
    protected ResourceEntity() {}

    ResourceEntity(UUID projectId, int position, Resource resource) {
        super(projectId, position, resource.id(), JsonText.of(MoneyJson.write(resource)));
    }

    Resource toCore() {
        return JsonText.read(definition(), MoneyJson::resource);
    }
}
