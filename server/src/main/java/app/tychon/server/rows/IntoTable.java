package app.tychon.server.rows;

import app.tychon.core.model.Delta;
import app.tychon.core.model.Into;
import app.tychon.core.model.Section;
import app.tychon.server.plan.PlanRecords;
import app.tychon.server.plan.SectionTable;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Keeps what leads into activities: all of an activity's is written anew where any of it differs. */
public abstract class IntoTable<T> extends SectionTable<T> {
    protected final PlanRecords records;
    private final Class<?> kind;

    /** @param kind of row, which has a project and a position */
    protected IntoTable(Section<T> section, Class<?> kind, PlanRecords records) {
        super(section);
        this.kind = kind;
        this.records = records;
    }

    /** Makes the row of one object. */
    @FunctionalInterface
    public interface Maker<T> {
        Object make(int position, T object);
    }

    /** @param activities their keys, by their codes */
    protected abstract Maker<T> maker(UUID project, Map<String, UUID> activities);

    /** Removes all that leads into these activities. */
    protected abstract void delete(List<UUID> activities);

    @Override
    protected final Runnable write(UUID project, List<T> before, List<T> after) {
        Delta<Into<T>> delta = Delta.of(
                Into.of(before, section().key()), Into.of(after, section().key()), Into::activity);
        if (delta.isEmpty()) {
            return () -> {};
        }
        Map<String, UUID> activities = records.keys(project, ActivityEntity.class);
        List<UUID> rewritten = Into.rewritten(delta, activities);
        if (!rewritten.isEmpty()) {
            delete(rewritten);
        }
        Maker<T> maker = maker(project, activities);
        int at = records.end(project, kind);
        // A new plan keeps the order its author gave it.
        for (T one : before.isEmpty() ? after : Into.written(delta)) {
            records.insert(maker.make(at++, one));
        }
        return () -> {};
    }
}
