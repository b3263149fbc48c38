package app.tychon.core.analysis;

import app.tychon.core.model.Funding;
import app.tychon.core.simulation.CashFlow;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How sure a project is to stay within its funding: what has been spent by any day may not be more than has become available
 * by then. What is available is the same throughout a stretch of the cash flow, and the most is spent at its end, so it is
 * enough to look there, where money is not paid back.
 *
 * @param stretches     in the order of time
 * @param throughout    share of futures that stay within it at all times
 * @param shortfalls    of each future, by how much it is short at worst; 0 where it never is
 */
public record FundingOdds(List<Stretch> stretches, double throughout, double[] shortfalls) {
    /** A hundredth of the currency: rounding is no shortfall. */
    private static final double CENT = 0.005;

    /**
     * A stretch of time throughout which as much is available.
     *
     * @param from      first day
     * @param to        the day after the last
     * @param available in all, up to it
     * @param within    share of futures in which what has been spent by its end is within that
     * @param breaks    share of futures that go beyond it here first
     */
    public record Stretch(LocalDate from, LocalDate to, double available, double within, double breaks) {}

    public FundingOdds {
        stretches = List.copyOf(stretches);
    }

    /** @param flow of which a period begins on the day of each step of funding that lies within it */
    public static FundingOdds of(CashFlow flow, List<Funding> funding) {
        CashFlow sums = flow.cumulative();
        int periods = sums.starts().size();
        int iterations = periods == 0 ? 0 : sums.amounts()[0].length;
        double[] shortfalls = new double[iterations];
        boolean[] broken = new boolean[iterations];
        List<Stretch> stretches = new ArrayList<>();
        for (int p = 0; p < periods; p++) {
            LocalDate from = sums.starts().get(p);
            double available = available(funding, from);
            int within = 0;
            int breaks = 0;
            for (int i = 0; i < iterations; i++) {
                double beyond = sums.amounts()[p][i] - available;
                if (beyond <= CENT) {
                    within++;
                } else {
                    breaks += broken[i] ? 0 : 1;
                    broken[i] = true;
                    shortfalls[i] = Math.max(shortfalls[i], beyond);
                }
            }
            LocalDate to = p + 1 < periods ? sums.starts().get(p + 1) : sums.end();
            stretches.add(new Stretch(from, to, available, (double) within / iterations, (double) breaks / iterations));
        }
        long kept = Arrays.stream(shortfalls).filter(money -> money == 0).count();
        return new FundingOdds(stretches, (double) kept / Math.max(1, iterations), shortfalls);
    }

    /** What is available on a day, in all. */
    public static double available(List<Funding> funding, LocalDate day) {
        return funding.stream()
                .filter(step -> !step.date().isAfter(day))
                .mapToDouble(Funding::amount)
                .sum();
    }
}
