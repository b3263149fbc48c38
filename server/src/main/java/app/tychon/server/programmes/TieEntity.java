package app.tychon.server.programmes;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What ties projects of a programme. */
@Entity(name = "ProgrammeTieEntity")
@Table(name = "programme_tie")
class TieEntity {
    @Id
    private UUID id;

    private UUID programmeId;
    private String code;
    private int position;

    @Column(columnDefinition = "longtext")
    private String definition;

    protected TieEntity() {}

    TieEntity(UUID programmeId, String code, int position, String definition) {
        id = Ids.next();
        this.programmeId = programmeId;
        this.code = code;
        this.position = position;
        this.definition = definition;
    }

    String code() {
        return code;
    }

    String definition() {
        return definition;
    }
}
