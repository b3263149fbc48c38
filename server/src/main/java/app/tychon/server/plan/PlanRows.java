package app.tychon.server.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The rows of one project while its plan is read: every table once, whoever asks for it. */
public final class PlanRows {
    private final PlanRecords records;
    private final UUID project;
    private final Map<Class<?>, List<?>> rows = new HashMap<>();
    private final Map<Class<?>, Map<UUID, String>> codes = new HashMap<>();

    PlanRows(PlanRecords records, UUID project) {
        this.records = records;
        this.project = project;
    }

    /** All rows of a kind, in their order. */
    @SuppressWarnings("unchecked")
    public <E> List<E> of(Class<E> kind) {
        return (List<E>) rows.computeIfAbsent(kind, k -> records.of(project, kind));
    }

    /** The codes of all rows of a kind, by their keys. */
    public <E extends RowEntity> Map<UUID, String> codes(Class<E> kind) {
        return codes.computeIfAbsent(
                kind, k -> of(kind).stream().collect(Collectors.toMap(RowEntity::id, RowEntity::code)));
    }

    /** All rows of a kind as they are in a plan. */
    public <E, T> List<T> map(Class<E> kind, Function<E, T> toCore) {
        return of(kind).stream().map(toCore).toList();
    }
}
