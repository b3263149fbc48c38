package app.tychon.core.model;

import java.time.LocalDate;
import java.util.Optional;

/** How often a risk strikes in an iteration in which it occurs. */
public sealed interface Recurrence {
    /** Most strikes that are counted in one iteration. */
    int MOST = 1000;

    /**
     * A Poisson number of times.
     *
     * @param over the period it counts in; where there is none, as long as the longest of its targets takes
     */
    record PerYear(double rate, Optional<Period> over) implements Recurrence {}

    /** A number of times drawn from a shape and rounded. */
    record Count(Shape shape) implements Recurrence {}

    /** Dates, both inclusive. */
    record Period(LocalDate from, LocalDate to) {}
}
