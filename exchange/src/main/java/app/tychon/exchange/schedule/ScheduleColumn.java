package app.tychon.exchange.schedule;

import app.tychon.exchange.table.Headings;
import app.tychon.exchange.table.Meaning;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What a column of a schedule's table says, with the headers it commonly has. */
public enum ScheduleColumn implements Meaning {
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
        return Headings.guess(ScheduleColumn.class, header);
    }

    /** How much a row of titles says of a schedule. */
    public static int says(List<String> titles) {
        return guess(titles).size();
    }

    /** @throws IllegalArgumentException for a word that is no {@link #title} */
    public static ScheduleColumn of(String title) {
        return Headings.called(ScheduleColumn.class, title, "a schedule");
    }

    @Override
    public Set<String> headers() {
        return headers;
    }

    @Override
    public String title() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
