package app.tychon.server.plan;

import app.tychon.core.model.WbsNode;
import app.tychon.server.database.Ids;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A branch of the work breakdown; {@code outline} is the number people read, such as 7.1. */
@Entity
@Table(name = "branch")
class BranchEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private UUID parentId;
    private String code;
    private String outline;
    private String name;
    private String grade;
    private int position;

    protected BranchEntity() {}

    BranchEntity(UUID projectId, int position, WbsNode node) {
        id = Ids.next();
        this.projectId = projectId;
        this.position = position;
        code = node.id();
        outline = node.code();
        name = node.name();
        grade = node.grade().orElse(null);
    }

    void setParent(UUID parent) {
        parentId = parent;
    }

    WbsNode toCore(Map<UUID, BranchEntity> branches) {
        return new WbsNode(
                code,
                Optional.ofNullable(branches.get(parentId)).map(BranchEntity::code),
                outline,
                name,
                Optional.ofNullable(grade));
    }

    UUID id() {
        return id;
    }

    String code() {
        return code;
    }
}
