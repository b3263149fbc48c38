package app.tychon.brief.ground;

import app.tychon.core.analysis.FundingOdds;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.Funding;
import app.tychon.core.simulation.CashFlow;
import app.tychon.core.simulation.Slice;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * When money is spent.
 *
 * @param ends     the day after each period
 * @param planned  spent by then, as planned
 * @param low      in one of ten futures less
 * @param high     in one of ten more
 * @param each     spent in each period: half of all futures less
 * @param funding  whether what is funded reaches; nothing where no funding is said
 */
public record Spent(
        List<LocalDate> starts,
        List<LocalDate> ends,
        double[] planned,
        double[] low,
        double[] half,
        double[] high,
        double[] each,
        Optional<FundingOdds> funding) {
    private static final double TENTH = 0.1;

    private record Asked(BriefBlock.Period period) {}

    public static Spent of(Ground ground, BriefBlock.Period period) {
        return ground.once(new Asked(period), 2 * ground.result().iterations(), (plan, monitor) -> {
            List<Funding> funding = ground.plan().funding();
            CashFlow flow = CashFlow.of(
                    plan,
                    ground.result(),
                    period == BriefBlock.Period.MONTH ? CashFlow.Period.MONTH : CashFlow.Period.QUARTER,
                    funding.stream().map(Funding::date).toList(),
                    Slice.whole(),
                    monitor);
            return of(flow, funding);
        });
    }

    private static Spent of(CashFlow flow, List<Funding> funding) {
        CashFlow sums = flow.cumulative();
        int n = flow.starts().size();
        double[] low = new double[n];
        double[] half = new double[n];
        double[] high = new double[n];
        double[] each = new double[n];
        List<LocalDate> ends = new ArrayList<>(flow.starts().subList(1, n));
        ends.add(flow.end());
        for (int p = 0; p < n; p++) {
            Sample sample = Sample.of(sums.amounts()[p]);
            low[p] = sample.percentile(TENTH);
            half[p] = sample.percentile(0.5);
            high[p] = sample.percentile(1 - TENTH);
            each[p] = Sample.of(flow.amounts()[p]).percentile(0.5);
        }
        return new Spent(
                flow.starts(),
                ends,
                sums.planned(),
                low,
                half,
                high,
                each,
                funding.isEmpty() ? Optional.empty() : Optional.of(FundingOdds.of(flow, funding)));
    }

    /** What there is to spend, as instants and amounts added up. */
    public static List<double[]> steps(List<Funding> funding) {
        List<double[]> steps = new ArrayList<>();
        double sum = 0;
        for (Funding one :
                funding.stream().sorted(Comparator.comparing(Funding::date)).toList()) {
            sum += one.amount();
            steps.add(new double[] {Instants.of(one.date().atStartOfDay()), sum});
        }
        return steps;
    }
}
