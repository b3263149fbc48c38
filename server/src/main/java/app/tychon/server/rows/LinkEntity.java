package app.tychon.server.rows;

import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.WorkDuration;
import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

@Entity
@Table(name = "link")
public class LinkEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private UUID fromId;
    private UUID toId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "char(2)")
    private LinkType type;

    private String lag;
    private int position;

    protected LinkEntity() {}

    LinkEntity(UUID projectId, int position, UUID from, UUID to, Link link) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        fromId = from;
        toId = to;
        type = link.type();
        lag = link.lag().toString();
    }

    Link toCore(String from, String to) {
        return new Link(from, to, type, WorkDuration.parse(lag).orElseThrow());
    }

    UUID fromId() {
        return fromId;
    }

    UUID toId() {
        return toId;
    }
}
