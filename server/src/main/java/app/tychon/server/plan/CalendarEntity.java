package app.tychon.server.plan;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.exchange.JsonText;
import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A working calendar, kept in the words of the project file. */
@Entity
@Table(name = "calendar")
class CalendarEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private String code;
    private int position;

    @Column(columnDefinition = "longtext")
    private String definition;

    protected CalendarEntity() {}

    CalendarEntity(UUID projectId, int position, CalendarDefinition calendar) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        code = calendar.id();
        definition = JsonText.of(calendar);
    }

    CalendarDefinition toCore() {
        return JsonText.calendar(definition);
    }

    UUID id() {
        return id;
    }

    String code() {
        return code;
    }
}
