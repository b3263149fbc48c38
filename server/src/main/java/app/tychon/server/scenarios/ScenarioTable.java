package app.tychon.server.scenarios;

import app.tychon.core.model.Scenario;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class ScenarioTable extends PartTable<Scenario, ScenarioEntity> {
    ScenarioTable(PlanRecords records) {
        super(Sections.SCENARIOS, ScenarioEntity.class, ScenarioEntity::new, records);
    }
}
