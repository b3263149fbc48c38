package app.tychon.server.plan;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.exchange.CalendarJson;
import app.tychon.exchange.JsonText;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A working calendar. */
@Entity
@Table(name = "calendar")
class CalendarEntity extends PartEntity {
    protected CalendarEntity() {}

    CalendarEntity(UUID projectId, int position, CalendarDefinition calendar) {
        super(projectId, position, calendar.id(), JsonText.of(CalendarJson.write(calendar)));
    }

    CalendarDefinition toCore() {
        return JsonText.read(definition(), CalendarJson::read);
    }
}
