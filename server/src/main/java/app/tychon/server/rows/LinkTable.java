package app.tychon.server.rows;

import app.tychon.core.model.Link;
import app.tychon.core.model.Sections;
import app.tychon.server.plan.PlanRecords;
import app.tychon.server.plan.PlanRows;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

@Component
class LinkTable extends IntoTable<Link> {
    LinkTable(PlanRecords records) {
        super(Sections.LINKS, LinkEntity.class, records);
    }

    @Override
    protected List<Link> read(PlanRows rows) {
        Map<UUID, String> activities = rows.codes(ActivityEntity.class);
        return rows.map(LinkEntity.class, row -> row.toCore(activities.get(row.fromId()), activities.get(row.toId())));
    }

    @Override
    protected Maker<Link> maker(UUID project, Map<String, UUID> activities) {
        return (at, link) -> new LinkEntity(project, at, activities.get(link.from()), activities.get(link.to()), link);
    }

    @Override
    protected void delete(List<UUID> activities) {
        records.delete("delete from LinkEntity e where e.toId in :keys", activities);
    }
}
