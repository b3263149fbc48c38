package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * People, plant or material with a price.
 *
 * @param rate     until another is agreed
 * @param rates    others, each from a day on, in the order of their days
 * @param limit    most units at a time that there are
 * @param category in the project's own cost breakdown, levels apart by a slash; empty for none
 */
@RecordBuilder
public record Resource(
        String id, String name, double rate, Per per, List<RateFrom> rates, Optional<Double> limit, String category)
        implements ResourceBuilder.With {
    /** What the rate is paid for. */
    public enum Per {
        HOUR,
        DAY,
        /** A unit of quantity, whatever the time. */
        UNIT
    }

    /** Another rate, from the beginning of a day on. */
    public record RateFrom(LocalDate from, double rate) {}

    public Resource {
        rates = List.copyOf(rates);
    }

    /** One with a single rate, of which there is as much as is wanted. */
    public Resource(String id, String name, double rate, Per per) {
        this(id, name, rate, per, List.of(), Optional.empty(), "");
    }
}
