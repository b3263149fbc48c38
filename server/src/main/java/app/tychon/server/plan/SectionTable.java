package app.tychon.server.plan;

import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Section;
import java.util.List;
import java.util.UUID;

/** Keeps a section of plans in a table. A feature has one for each section of its own; {@link PlanTables} finds them. */
public abstract class SectionTable<T> {
    private final Section<T> section;

    protected SectionTable(Section<T> section) {
        this.section = section;
    }

    public final Section<T> section() {
        return section;
    }

    /** The section as it is stored. */
    protected abstract List<T> read(PlanRows rows);

    /**
     * Writes what differs; what it refers to is written already.
     *
     * @return removes what is gone, once nothing refers to it any more
     */
    protected abstract Runnable write(UUID project, List<T> before, List<T> after);

    final void readInto(PlanDraft draft, PlanRows rows) {
        section.put().apply(draft, read(rows));
    }

    final Runnable write(UUID project, Plan before, Plan after) {
        List<T> old = section.of().apply(before);
        List<T> now = section.of().apply(after);
        return old.equals(now) ? () -> {} : write(project, old, now);
    }
}
