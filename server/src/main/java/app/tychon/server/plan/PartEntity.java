package app.tychon.server.plan;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** A part of a plan that is only ever read and written as a whole, in the words of the project file. */
@MappedSuperclass
abstract class PartEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private String code;
    private int position;

    @Column(columnDefinition = "longtext")
    private String definition;

    protected PartEntity() {}

    PartEntity(UUID projectId, int position, String code, String definition) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        this.code = code;
        this.definition = definition;
    }

    UUID id() {
        return id;
    }

    String code() {
        return code;
    }

    String definition() {
        return definition;
    }
}
