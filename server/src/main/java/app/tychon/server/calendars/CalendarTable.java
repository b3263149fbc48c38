package app.tychon.server.calendars;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PartTable;
import app.tychon.server.plan.PlanRecords;
import org.springframework.stereotype.Component;

@Component
class CalendarTable extends PartTable<CalendarDefinition, CalendarEntity> {
    CalendarTable(PlanRecords records) {
        super(Sections.CALENDARS, CalendarEntity.class, CalendarEntity::new, records);
    }
}
