package app.tychon.server.costs;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;

/**
 * How much of a resource is at work over time: the most units at once in each period.
 *
 * @param level        percent, the project's own
 * @param limit        most units that there are; absent where nobody said
 * @param everExceeded share of futures in which more are at work at any time; absent without a limit
 */
record LoadView(
        String resource,
        int iterations,
        double level,
        @Nullable Double limit,
        @Nullable Double everExceeded,
        List<LoadPeriod> periods) {

    /** @param exceeded share of futures in which more than the limit are at work here; absent without a limit */
    record LoadPeriod(LocalDate from, LocalDate to, double planned, double p50, double at, @Nullable Double exceeded) {}
}
