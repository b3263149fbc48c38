package app.tychon.server.costs;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;

/**
 * Money over time. Percentiles of a period are of that period, and those to date of all money up to its end; those of one future
 * they are not.
 *
 * @param level    percent, the project's own
 * @param dataDate up to which it is known what was spent; absent without progress
 * @param funding  how sure it is to stay within funding; absent where there is none, and of a part of the project
 */
record CashFlowView(
        int iterations,
        double level,
        @Nullable LocalDate dataDate,
        List<FlowPeriod> periods,
        @Nullable FundingOddsView funding) {

    /**
     * A period of time.
     *
     * @param from   its first day
     * @param to     its last
     * @param outset as it was planned before any progress; absent where there is none
     */
    record FlowPeriod(LocalDate from, LocalDate to, FlowMoney within, FlowMoney toDate) {}

    /** @param at value at the project's level */
    record FlowMoney(
            double planned, @Nullable Double outset, double mean, double p10, double p50, double at, double p90) {}

    /**
     * How sure it is to stay within funding.
     *
     * @param throughout share of futures that stay within it at all times
     * @param breaks     when it most often breaks first; absent where it never does
     * @param short50    what is missing in the middle one of the futures that break, at worst; absent where none does
     * @param shortAt    the same at the project's level
     */
    record FundingOddsView(
            double throughout,
            @Nullable FundedStretch breaks,
            @Nullable Double short50,
            @Nullable Double shortAt,
            List<FundedStretch> stretches) {}

    /**
     * A stretch throughout which as much is available.
     *
     * @param available in all, up to it
     * @param within    share of futures in which no more is spent by its end
     * @param breaks    share of futures that go beyond it here first
     */
    record FundedStretch(LocalDate from, LocalDate to, double available, double within, double breaks) {}
}
