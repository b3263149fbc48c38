package app.tychon.server.rows;

import app.tychon.core.model.Delta;
import app.tychon.core.model.Sections;
import app.tychon.core.model.WbsNode;
import app.tychon.server.plan.PlanRecords;
import app.tychon.server.plan.PlanRows;
import app.tychon.server.plan.RowTable;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

@Component
class BranchTable extends RowTable<WbsNode, BranchEntity> {
    BranchTable(PlanRecords records) {
        super(Sections.WBS, BranchEntity.class, records);
    }

    @Override
    protected List<WbsNode> read(PlanRows rows) {
        Map<UUID, String> branches = rows.codes(BranchEntity.class);
        return rows.map(BranchEntity.class, row -> row.toCore(branches));
    }

    @Override
    protected Runnable write(UUID project, List<WbsNode> before, List<WbsNode> after) {
        Runnable removal = write(project, before, after, BranchEntity::new, BranchEntity::update);
        // A parent may come after its child; it is named once all are there.
        records.flush();
        Delta<WbsNode> delta = Delta.of(before, after, WbsNode::id);
        Map<String, WbsNode> touched = new HashMap<>();
        delta.added().forEach(node -> touched.put(node.id(), node));
        delta.changed().forEach(node -> touched.put(node.id(), node));
        Map<String, UUID> keys = records.keys(project, BranchEntity.class);
        records.of(project, BranchEntity.class, touched.keySet())
                .forEach(row -> row.setParent(
                        touched.get(row.code()).parent().map(keys::get).orElse(null)));
        return removal;
    }
}
