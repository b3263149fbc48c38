package app.tychon.server.calendars;

import app.tychon.server.plan.PartEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A working calendar. */
@Entity
@Table(name = "calendar")
public class CalendarEntity extends PartEntity {
    protected CalendarEntity() {}

    CalendarEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code, definition);
    }
}
