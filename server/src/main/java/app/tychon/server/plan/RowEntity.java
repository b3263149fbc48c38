package app.tychon.server.plan;

import app.tychon.server.database.Ids;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** A row of a project that people know by a code and that has its place among the others. */
@MappedSuperclass
public abstract class RowEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private String code;
    private int position;

    protected RowEntity() {}

    public RowEntity(UUID projectId, int position, String code) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        this.code = code;
    }

    public final UUID id() {
        return id;
    }

    public final String code() {
        return code;
    }

    final void moveTo(int place) {
        position = place;
    }
}
