package app.tychon.server.imports;

import app.tychon.core.model.PlanUpdate;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;

/**
 * What a newer file would change of a plan, before anything is kept.
 *
 * @param schedule how the file is read
 * @param rows activities that differ: new ones, changed ones, those that are gone
 * @param finish when the plan would finish with all of them; absent where that cannot be calculated
 * @param refusal why it cannot
 */
record UpdatePreview(
        SchedulePreview schedule, List<UpdateRow> rows, @Nullable LocalDateTime finish, @Nullable String refusal) {

    /**
     * An activity that differs.
     *
     * @param what new, changed or gone
     * @param hanging what would go with one that is gone, in words
     */
    record UpdateRow(String id, String name, String what, List<UpdateField> fields, List<String> hanging) {}

    /** A field as it is and as it would be, in words. */
    record UpdateField(String field, String before, String after) {}

    static List<UpdateRow> rows(PlanUpdate update) {
        return update.changes().stream()
                .map(change -> new UpdateRow(
                        change.id(),
                        change.name(),
                        change.what().name().toLowerCase(Locale.ROOT),
                        change.fields().stream()
                                .map(f -> new UpdateField(
                                        f.field()
                                                .name()
                                                .toLowerCase(Locale.ROOT)
                                                .replace('_', ' '),
                                        f.before(),
                                        f.after()))
                                .toList(),
                        change.hanging()))
                .toList();
    }
}
