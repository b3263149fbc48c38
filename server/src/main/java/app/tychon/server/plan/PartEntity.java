package app.tychon.server.plan;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** A part of a plan that is only ever read and written as a whole, in the words of the project file. */
@MappedSuperclass
abstract class PartEntity extends RowEntity {
    @Column(columnDefinition = "longtext")
    private String definition;

    protected PartEntity() {}

    PartEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code);
        this.definition = definition;
    }

    final String definition() {
        return definition;
    }

    /** Takes over another definition of the same part. */
    final void define(PartEntity other) {
        definition = other.definition;
    }
}
