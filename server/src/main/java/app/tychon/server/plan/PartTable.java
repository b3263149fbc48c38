package app.tychon.server.plan;

import app.tychon.core.model.Section;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.SectionJson;
import java.util.List;
import java.util.UUID;

/** Keeps objects that are only ever read and written as a whole, in the words of the project file. */
public abstract class PartTable<T, E extends PartEntity> extends RowTable<T, E> {
    private final SectionJson<T> words;
    private final Class<E> kind;
    private final PartEntity.Maker<E> maker;

    protected PartTable(Section<T> section, Class<E> kind, PartEntity.Maker<E> maker, PlanRecords records) {
        super(section, kind, records);
        words = SectionJson.of(section);
        this.kind = kind;
        this.maker = maker;
    }

    @Override
    protected final List<T> read(PlanRows rows) {
        return rows.map(kind, row -> JsonText.read(row.definition(), words::read));
    }

    @Override
    protected final Runnable write(UUID project, List<T> before, List<T> after) {
        return write(
                project,
                before,
                after,
                (id, position, one) -> maker.make(id, position, section().key().apply(one), definition(one)),
                (row, one) -> row.define(definition(one)));
    }

    private String definition(T one) {
        return JsonText.of(words.write().apply(one));
    }
}
