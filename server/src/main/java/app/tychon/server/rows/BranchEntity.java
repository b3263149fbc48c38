package app.tychon.server.rows;

import app.tychon.core.model.WbsNode;
import app.tychon.server.plan.RowEntity;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A branch of the work breakdown; {@code outline} is the number people read, such as 7.1. */
@Entity
@Table(name = "branch")
public class BranchEntity extends RowEntity {
    private UUID parentId;
    private String outline;
    private String name;
    private String grade;

    protected BranchEntity() {}

    BranchEntity(UUID projectId, int position, WbsNode node) {
        super(projectId, position, node.id());
        update(node);
    }

    final void update(WbsNode node) {
        outline = node.code();
        name = node.name();
        grade = node.grade().orElse(null);
    }

    void setParent(UUID parent) {
        parentId = parent;
    }

    WbsNode toCore(Map<UUID, String> branches) {
        return new WbsNode(
                code(), Optional.ofNullable(parentId).map(branches::get), outline, name, Optional.ofNullable(grade));
    }
}
