package app.tychon.server.imports;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanUpdate;
import app.tychon.core.model.PlanUpdate.Field;
import app.tychon.core.model.PlanUpdate.RowChange;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.schedule.ScheduleReader;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.PlanStore;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** A plan updated from a newer file: shown row by row, then taken over as one edit. */
@Service
class PlanUpdates {
    /** Columns that say something of a field. */
    private static final Map<Field, Set<ScheduleColumn>> SAID = said();

    private final PlanStore plans;
    private final Edits edits;

    PlanUpdates(PlanStore plans, Edits edits) {
        this.plans = plans;
        this.edits = edits;
    }

    private static Map<Field, Set<ScheduleColumn>> said() {
        Map<Field, Set<ScheduleColumn>> said = new EnumMap<>(Field.class);
        said.put(Field.NAME, EnumSet.of(ScheduleColumn.NAME));
        said.put(Field.KIND, EnumSet.of(ScheduleColumn.DURATION, ScheduleColumn.KIND));
        said.put(Field.DURATION, EnumSet.of(ScheduleColumn.DURATION));
        said.put(Field.BRANCH, EnumSet.of(ScheduleColumn.WBS, ScheduleColumn.LEVEL));
        said.put(Field.PREDECESSORS, EnumSet.of(ScheduleColumn.PREDECESSORS));
        said.put(Field.CONSTRAINT, EnumSet.of(ScheduleColumn.CONSTRAINT));
        said.put(Field.ACTUAL_START, EnumSet.of(ScheduleColumn.ACTUAL_START));
        said.put(Field.ACTUAL_FINISH, EnumSet.of(ScheduleColumn.ACTUAL_FINISH));
        said.put(Field.REMAINING, EnumSet.of(ScheduleColumn.REMAINING));
        return said;
    }

    UpdatePreview preview(UUID project, Reading reading) {
        Plan plan = plans.find(project).plan();
        ScheduleReader.Read read = read(plan, reading);
        SchedulePreview schedule = SchedulePreview.of(reading, read);
        if (!read.problems().isEmpty()) {
            return new UpdatePreview(schedule, List.of(), null, null);
        }
        PlanUpdate update = update(plan, reading, read);
        Set<String> all = update.changes().stream().map(RowChange::id).collect(Collectors.toSet());
        try {
            double finish = Scheduler.schedule(Network.of(update.accept(all, new ArrayList<>())))
                    .finish();
            return new UpdatePreview(schedule, UpdatePreview.rows(update), Instants.toCivil(finish), null);
        } catch (InvalidPlanException e) {
            return new UpdatePreview(
                    schedule,
                    UpdatePreview.rows(update),
                    null,
                    e.problems().get(0).message());
        }
    }

    /** @param except rows of which nothing is taken over */
    EditResult takeOver(Editor editor, Reading reading, Set<String> except) {
        return edits.replace(editor, "Update from a newer file", (plan, gone) -> {
            ScheduleReader.Read read = ScheduleImport.sound(read(plan, reading));
            PlanUpdate update = update(plan, reading, read);
            Set<String> accepted = update.changes().stream()
                    .map(RowChange::id)
                    .filter(id -> !except.contains(id))
                    .collect(Collectors.toSet());
            return update.accept(accepted, gone);
        });
    }

    private static ScheduleReader.Read read(Plan plan, Reading reading) {
        return reading.read(plan.project().name(), plan.project().start().toLocalDate());
    }

    private static PlanUpdate update(Plan plan, Reading reading, ScheduleReader.Read read) {
        Set<ScheduleColumn> there = reading.columns().keySet();
        Set<Field> said = EnumSet.noneOf(Field.class);
        SAID.forEach((field, columns) -> {
            if (columns.stream().anyMatch(there::contains)) {
                said.add(field);
            }
        });
        return PlanUpdate.of(plan, read.plan(), said);
    }
}
