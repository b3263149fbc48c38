package app.tychon.server.plan;

import app.tychon.core.model.Delta;
import app.tychon.core.model.Section;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Keeps each object of a section as a row that has its place among the others. */
public abstract class RowTable<T, E extends RowEntity> extends SectionTable<T> {
    protected final PlanRecords records;
    private final Class<E> kind;

    protected RowTable(Section<T> section, Class<E> kind, PlanRecords records) {
        super(section);
        this.kind = kind;
        this.records = records;
    }

    /** Makes the row of an object. */
    @FunctionalInterface
    public interface Maker<T, E> {
        E make(UUID project, int position, T object);
    }

    /** Inserts, changes and moves rows; what it returns removes those that are gone. */
    protected final Runnable write(
            UUID project, List<T> before, List<T> after, Maker<T, E> maker, BiConsumer<E, T> update) {
        Function<T, String> key = section().key();
        Delta<T> delta = Delta.of(before, after, key);
        Map<String, T> changed = delta.changed().stream().collect(Collectors.toMap(key, Function.identity()));
        records.of(project, kind, changed.keySet()).forEach(row -> update.accept(row, changed.get(row.code())));
        if (!delta.added().isEmpty() || !delta.moved().isEmpty()) {
            Map<String, Integer> known = before.isEmpty() ? Map.of() : records.positions(project, kind);
            Set<String> added = delta.added().stream().map(key).collect(Collectors.toSet());
            Map<String, Integer> places = Places.of(
                    after.stream().map(key).toList(),
                    known,
                    row -> !added.contains(row) && !delta.moved().contains(row));
            delta.added().forEach(one -> records.insert(maker.make(project, places.get(key.apply(one)), one)));
            List<String> moved =
                    places.keySet().stream().filter(row -> !added.contains(row)).toList();
            records.of(project, kind, moved).forEach(row -> row.moveTo(places.get(row.code())));
        }
        return () -> records.delete(project, kind, delta.removed());
    }
}
