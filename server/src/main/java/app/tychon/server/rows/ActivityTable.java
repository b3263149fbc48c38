package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Sections;
import app.tychon.server.calendars.CalendarEntity;
import app.tychon.server.plan.PlanRecords;
import app.tychon.server.plan.PlanRows;
import app.tychon.server.plan.RowTable;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

@Component
class ActivityTable extends RowTable<Activity, ActivityEntity> {
    ActivityTable(PlanRecords records) {
        super(Sections.ACTIVITIES, ActivityEntity.class, records);
    }

    @Override
    protected List<Activity> read(PlanRows rows) {
        Map<UUID, String> branches = rows.codes(BranchEntity.class);
        Map<UUID, String> calendars = rows.codes(CalendarEntity.class);
        return rows.map(
                ActivityEntity.class, row -> row.toCore(branches.get(row.branchId()), calendars.get(row.calendarId())));
    }

    @Override
    protected Runnable write(UUID project, List<Activity> before, List<Activity> after) {
        records.flush();
        Map<String, UUID> branches = records.keys(project, BranchEntity.class);
        Map<String, UUID> calendars = records.keys(project, CalendarEntity.class);
        Runnable removal = write(
                project,
                before,
                after,
                (id, at, a) -> new ActivityEntity(id, at, branches.get(a.wbs()), calendars.get(a.calendar()), a),
                (row, a) -> row.update(branches.get(a.wbs()), calendars.get(a.calendar()), a));
        records.flush();
        return removal;
    }
}
