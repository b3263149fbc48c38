package app.tychon.core.simulation;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Action;
import app.tychon.core.model.Outset;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.Part;
import app.tychon.core.simulation.money.ResponseActions;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;

/**
 * Money per period of time in every iteration of a run: at the start or the finish of what it stands on, in instalments, or
 * evenly over its working time. Money that risks add is spent evenly over what it strikes, that of actions evenly over their
 * days; what is spent already, from the start of what it stands on to the data date.
 *
 * @param starts  first day of each period
 * @param end     the day after the last
 * @param planned money of each period in the plan without uncertainty
 * @param amounts by period, a value an iteration
 */
public record CashFlow(List<LocalDate> starts, LocalDate end, double[] planned, double[][] amounts) {
    /** How long a period is. */
    public enum Period {
        WEEK,
        MONTH,
        QUARTER;

        public LocalDate first(LocalDate day) {
            return switch (this) {
                case WEEK -> day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
                case MONTH -> day.withDayOfMonth(1);
                case QUARTER -> day.with(IsoFields.DAY_OF_QUARTER, 1);
            };
        }

        public LocalDate next(LocalDate first) {
            return switch (this) {
                case WEEK -> first.plusWeeks(1);
                case MONTH -> first.plusMonths(1);
                case QUARTER -> first.plusMonths(3);
            };
        }
    }

    public CashFlow {
        starts = List.copyOf(starts);
    }

    /** Of the whole project: computes the iterations of a run again, for the money in them. */
    public static CashFlow of(CompiledPlan plan, RunResult result, Period period) {
        return of(plan, result, period, List.of(), Slice.whole(), RunMonitor.NONE);
    }

    /**
     * Of a slice.
     *
     * @param cuts days on which a period begins beside the usual ones
     * @throws java.util.concurrent.CancellationException when it is stopped before anything was done, or interrupted
     */
    public static CashFlow of(
            CompiledPlan plan,
            RunResult result,
            Period period,
            Collection<LocalDate> cuts,
            Slice slice,
            RunMonitor monitor) {
        Reach reach = new Reach();
        reach.take(plan);
        for (int i = 0; i < result.iterations(); i++) {
            reach.take(result.start()[i], result.finish()[i]);
        }
        TreeSet<LocalDate> starts = new TreeSet<>();
        LocalDate day = period.first(reach.firstDay());
        do {
            starts.add(day);
            day = period.next(day);
        } while (!day.isAfter(reach.lastDay()));
        LocalDate end = day;
        LocalDate first = starts.first();
        cuts.stream().filter(cut -> cut.isAfter(first) && cut.isBefore(end)).forEach(starts::add);
        List<LocalDate> all = List.copyOf(starts);
        RunSettings run = result.settings();
        RunSettings settings = new RunSettings(result.iterations(), run.seed(), run.sampling(), run.threads());
        return new CashFlow(
                all, end, certain(plan, all, end, slice), CashLedger.post(plan, all, end, slice, settings, monitor));
    }

    /** Money of each period as it was planned before any progress, in the same periods. */
    public double[] atTheOutset(CompiledPlan plan, Slice slice) {
        Plan outset = Outset.of(plan.network().plan());
        return certain(CompiledPlan.of(outset), starts, end, slice);
    }

    private static double[] certain(CompiledPlan plan, List<LocalDate> starts, LocalDate end, Slice slice) {
        RunSettings one = new RunSettings(1, 1, Sampling.PLAIN, 1);
        double[][] amounts = CashLedger.post(plan.with(Variation.CERTAIN), starts, end, slice, one, RunMonitor.NONE);
        double[] planned = new double[amounts.length];
        for (int p = 0; p < planned.length; p++) {
            planned[p] = amounts[p][0];
        }
        return planned;
    }

    /** From when to when money may fall due. */
    private static final class Reach {
        private double first = Double.POSITIVE_INFINITY;
        private double last = Double.NEGATIVE_INFINITY;

        void take(double from, double to) {
            first = Math.min(first, from);
            last = Math.max(last, to);
        }

        void take(CompiledPlan plan) {
            double start = Instants.of(plan.network().plan().project().start());
            take(start, Math.max(start, plan.schedule().finish()));
            for (Action action : ResponseActions.of(plan.network().plan(), plan.variation())) {
                take(
                        Instants.of(action.start().atStartOfDay()),
                        Instants.of(action.finish().plusDays(1).atStartOfDay()));
            }
            for (CostItem item : plan.costs().items()) {
                item.parts().stream()
                        .filter(part -> part.when() == Part.When.DAY)
                        .forEach(part -> take(part.instant(), part.instant() + 1));
            }
        }

        LocalDate firstDay() {
            return Instants.toCivil(first).toLocalDate();
        }

        /** What ends at midnight ends on the day before. */
        LocalDate lastDay() {
            return Instants.toCivil(last).minusNanos(1).toLocalDate();
        }
    }

    /** The same added up from the first period on. */
    public CashFlow cumulative() {
        double[] sum = planned.clone();
        double[][] sums = new double[amounts.length][];
        for (int p = 0; p < sums.length; p++) {
            sums[p] = amounts[p].clone();
            for (int i = 0; p > 0 && i < sums[p].length; i++) {
                sums[p][i] += sums[p - 1][i];
            }
            sum[p] += p > 0 ? sum[p - 1] : 0;
        }
        return new CashFlow(starts, end, sum, sums);
    }
}
