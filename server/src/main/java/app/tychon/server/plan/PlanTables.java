package app.tychon.server.plan;

import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Project;
import app.tychon.core.model.Section;
import app.tychon.core.model.Sections;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The tables of all sections, in the order of the file, in which each refers only to those before it. */
@Component
class PlanTables {
    private final PlanRecords records;
    private final List<SectionTable<?>> tables = new ArrayList<>();

    PlanTables(PlanRecords records, List<SectionTable<?>> known) {
        this.records = records;
        for (Section<?> section : Sections.ALL) {
            if (section != Sections.PROJECT) {
                tables.add(known.stream()
                        .filter(table -> table.section() == section)
                        .findFirst()
                        .orElseThrow(() -> new IllegalStateException("no table keeps " + section.name())));
            }
        }
    }

    Plan read(UUID id, Project project) {
        PlanRows rows = new PlanRows(records, id);
        PlanDraft draft = empty(project).edit();
        tables.forEach(table -> table.readInto(draft, rows));
        return draft.done();
    }

    /** Brings the tables from one version of a plan to another: rows that differ are written, no others. */
    void write(UUID project, Plan before, Plan after) {
        List<Runnable> removals = new ArrayList<>();
        tables.forEach(table -> removals.add(table.write(project, before, after)));
        records.flush();
        // Rows are removed last, when nothing that stays refers to them any more.
        for (int i = removals.size() - 1; i >= 0; i--) {
            removals.get(i).run();
        }
    }

    static Plan empty(Project project) {
        return Plan.of(project, List.of(), List.of(), List.of(), List.of());
    }
}
