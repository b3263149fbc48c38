package app.tychon.server.plan;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** A part of a plan that is only ever read and written as a whole, in the words of the project file. */
@MappedSuperclass
public abstract class PartEntity extends RowEntity {
    @Column(columnDefinition = "longtext")
    private String definition;

    protected PartEntity() {}

    protected PartEntity(UUID projectId, int position, String code, String definition) {
        super(projectId, position, code);
        this.definition = definition;
    }

    /** Makes a row of a part. */
    @FunctionalInterface
    public interface Maker<E> {
        E make(UUID projectId, int position, String code, String definition);
    }

    final String definition() {
        return definition;
    }

    final void define(String other) {
        definition = other;
    }
}
