package app.tychon.core.simulation.draws;

import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.core.uncertainty.InverseTable;
import app.tychon.core.uncertainty.PertTables;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.function.ObjIntConsumer;

/** Distributions of shapes in their own units with their tables, each made once however many quantities have it. */
public final class ShapeTables {
    /** A distribution and the quickest way to turn chances into its values. */
    public record Table(Distribution distribution, ObjIntConsumer<double[]> inverse) {
        public static Table of(Distribution distribution) {
            return new Table(
                    distribution,
                    distribution.hasCostlyInverse() ? InverseTable.of(distribution)::inverse : distribution::inverse);
        }
    }

    private record Key(Shape shape, boolean cutAtZero) {}

    private static final int SPARE = 1000;

    /** The same for all plans; made as far as they are asked for, and bounded. */
    private static final PertTables PERTS = new PertTables();

    private final ConcurrentMap<Key, Table> tables = new ConcurrentHashMap<>();

    private Table table(Distribution distribution) {
        if (!distribution.hasCostlyInverse()) {
            return Table.of(distribution);
        }
        InverseTable table = PertTables.fits(distribution) ? PERTS.of(distribution) : InverseTable.of(distribution);
        return new Table(distribution, table::inverse);
    }

    /** These, or new ones where so many are kept that most are of shapes that nothing has any more. */
    public ShapeTables fewerThan(int most) {
        return tables.size() < most + SPARE ? this : new ShapeTables();
    }

    /** A shape as it is. */
    public Table of(Shape shape) {
        return tables.computeIfAbsent(new Key(shape, false), k -> table(Distributions.of(shape, 1)));
    }

    /** A shape of something that is never below zero. */
    public Table notBelowZero(Shape shape) {
        return tables.computeIfAbsent(new Key(shape, true), k -> table(Distributions.ofDuration(shape, 1)));
    }
}
