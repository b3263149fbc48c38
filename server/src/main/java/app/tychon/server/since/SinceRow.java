package app.tychon.server.since;

import app.tychon.core.model.HybridPlan.Kind;
import app.tychon.exchange.Words;
import app.tychon.server.edits.ChangedField;
import app.tychon.server.edits.InputChange;
import app.tychon.server.edits.Touch;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * What differs between two recorded runs in one object, as far as it is of one kind.
 *
 * @param kind   by which the staircase tells it: progress, calendars, logic, ranges, correlation, risks, responses or costs
 * @param title  what stands before the key in a list
 * @param what   added, removed, changed or moved
 * @param fields those of the kind that differ, where it was changed
 * @param at     when it was edited last; absent where that is not on record
 * @param own    whether the reader did that
 * @param by     what whoever did is called, where they have an account
 */
record SinceRow(
        String kind,
        String section,
        String title,
        String key,
        String name,
        String what,
        List<ChangedField> fields,
        @Nullable Instant at,
        @Nullable Boolean own,
        @Nullable String by) {

    private static final Map<String, Kind> SECTIONS = Map.ofEntries(
            Map.entry("calendars", Kind.CALENDARS),
            Map.entry("wbs", Kind.LOGIC),
            Map.entry("activities", Kind.LOGIC),
            Map.entry("links", Kind.LOGIC),
            Map.entry("grades", Kind.RANGES),
            Map.entry("correlations", Kind.CORRELATION),
            Map.entry("risks", Kind.RISKS),
            Map.entry("project", Kind.LOGIC));
    /** Fields that are of another kind than what they stand in. */
    private static final Map<String, Kind> FIELDS = Map.ofEntries(
            Map.entry("actualStart", Kind.PROGRESS),
            Map.entry("actualFinish", Kind.PROGRESS),
            Map.entry("remaining", Kind.PROGRESS),
            Map.entry("dataDate", Kind.PROGRESS),
            Map.entry("calendar", Kind.CALENDARS),
            Map.entry("lagCalendar", Kind.CALENDARS),
            Map.entry("grade", Kind.RANGES),
            Map.entry("estimate", Kind.RANGES),
            Map.entry("combineRisks", Kind.RISKS),
            Map.entry("response", Kind.RESPONSES));
    /** What is read and not simulated. */
    private static final Set<String> READ = Set.of("accepted", "evidence", "scheme");

    /** A change, a row for each kind that it is of; none for what is not simulated. */
    static Stream<SinceRow> of(InputChange change, Map<List<String>, Touch> touches) {
        if (READ.contains(change.section())) {
            return Stream.empty();
        }
        Touch touch = touches.get(List.of(change.section(), change.key()));
        Kind own = SECTIONS.getOrDefault(change.section(), Kind.COSTS);
        if (change.details().isEmpty()) {
            return Stream.of(row(own, change, List.of(), touch));
        }
        Map<Kind, List<ChangedField>> byKind = new TreeMap<>();
        change.details().forEach(field -> byKind.computeIfAbsent(
                        FIELDS.getOrDefault(field.name(), own), kind -> new ArrayList<>())
                .add(field));
        return byKind.entrySet().stream().map(entry -> row(entry.getKey(), change, entry.getValue(), touch));
    }

    private static SinceRow row(Kind kind, InputChange change, List<ChangedField> fields, @Nullable Touch touch) {
        return new SinceRow(
                Words.of(kind),
                change.section(),
                change.title(),
                change.key(),
                change.name(),
                change.what(),
                fields,
                touch == null ? null : touch.at(),
                touch == null ? null : touch.own(),
                touch == null ? null : touch.name());
    }
}
