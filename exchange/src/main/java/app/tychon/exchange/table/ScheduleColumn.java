package app.tychon.exchange.table;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What a column of a schedule's table says, with the headers it commonly has. */
public enum ScheduleColumn {
    ID("id", "activity id", "task id", "code", "activity code", "no", "nr", "number", "#"),
    NAME("name", "activity", "activity name", "task", "task name", "description", "title"),
    WBS("wbs", "wbs code", "branch", "phase", "work package", "section", "group"),
    KIND("kind", "type", "activity type", "task type"),
    DURATION("duration", "dur", "planned duration", "original duration", "duration (days)", "days"),
    PREDECESSORS("predecessors", "predecessor", "pred", "preds", "depends on", "dependencies", "after"),
    CALENDAR("calendar", "calendar name"),
    LOW(
            "low",
            "optimistic",
            "minimum",
            "min",
            "best case",
            "opt",
            "best",
            "p10",
            "p5",
            "low (p10)",
            "min duration",
            "optimistic duration",
            "lower",
            "shortest"),
    LIKELY(
            "likely",
            "most likely",
            "mode",
            "ml",
            "real",
            "realistic",
            "most likely duration",
            "probable",
            "expected",
            "normal"),
    HIGH(
            "high",
            "pessimistic",
            "maximum",
            "max",
            "worst case",
            "pess",
            "worst",
            "p90",
            "p95",
            "high (p90)",
            "max duration",
            "pessimistic duration",
            "upper",
            "longest"),
    SHAPE("shape", "distribution"),
    LEVEL("level", "outline level", "indent", "depth", "wbs level"),
    START("start", "start date", "early start", "planned start", "begin"),
    FINISH("finish", "finish date", "end", "end date", "early finish", "planned finish"),
    ACTUAL_START("actual start", "started", "actual start date"),
    ACTUAL_FINISH("actual finish", "finished", "actual finish date", "actual end"),
    REMAINING("remaining", "remaining duration", "rem dur", "days left"),
    CONSTRAINT("constraint", "constraint type", "primary constraint"),
    CONSTRAINT_DATE("constraint date", "primary constraint date"),
    NOTES("notes", "note", "remarks", "comment", "comments");

    private final Set<String> headers;

    ScheduleColumn(String... headers) {
        this.headers = Set.of(headers);
    }

    /** Which column says what, by their headers; the first of several that say the same counts. */
    public static Map<ScheduleColumn, Integer> guess(List<String> header) {
        Map<ScheduleColumn, Integer> columns = new EnumMap<>(ScheduleColumn.class);
        for (int i = 0; i < header.size(); i++) {
            String title = header.get(i).strip().toLowerCase(Locale.ROOT).replace('_', ' ');
            for (ScheduleColumn column : values()) {
                if (column.headers.contains(title)) {
                    columns.putIfAbsent(column, i);
                }
            }
        }
        return columns;
    }

    /** @throws IllegalArgumentException for a word that is no {@link #title} */
    public static ScheduleColumn of(String title) {
        return Arrays.stream(values())
                .filter(column -> column.title().equals(title))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("a column of a schedule says one of "
                        + Arrays.stream(values()).map(ScheduleColumn::title).collect(Collectors.joining(", "))
                        + ", not \"" + title + "\""));
    }

    /** The word a person calls the column by. */
    public String title() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
