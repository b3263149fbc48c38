package app.tychon.core.simulation;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Action;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.ResponseActions;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;

/**
 * Money per period of time in every iteration of a run: at the start or the finish of what it stands on, or evenly over
 * its working time. Money that risks add is spent evenly over what it strikes, that of actions evenly over their days.
 *
 * @param starts  first day of each period
 * @param planned money of each period in the plan without uncertainty
 * @param amounts by period, a value an iteration
 */
public record CashFlow(List<LocalDate> starts, double[] planned, double[][] amounts) {
    /** How long a period is. */
    public enum Period {
        WEEK,
        MONTH,
        QUARTER;

        LocalDate first(LocalDate day) {
            return switch (this) {
                case WEEK -> day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
                case MONTH -> day.withDayOfMonth(1);
                case QUARTER -> day.with(IsoFields.DAY_OF_QUARTER, 1);
            };
        }

        LocalDate next(LocalDate first) {
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

    /** Computes the iterations of a run again, for the money in them. */
    public static CashFlow of(CompiledPlan plan, RunResult result, Period period) {
        double last = plan.schedule().finish();
        double first = Instants.of(plan.network().plan().project().start());
        for (int i = 0; i < result.iterations(); i++) {
            last = Math.max(last, result.finish()[i]);
            first = Math.min(first, result.start()[i]);
        }
        for (Action action : ResponseActions.of(plan.network().plan(), plan.variation())) {
            first = Math.min(first, Instants.of(action.start().atStartOfDay()));
            last = Math.max(last, Instants.of(action.finish().plusDays(1).atStartOfDay()));
        }
        List<LocalDate> starts = new ArrayList<>();
        LocalDate day = period.first(Instants.toCivil(first).toLocalDate());
        while (Instants.of(day.atStartOfDay()) < last || starts.isEmpty()) {
            starts.add(day);
            day = period.next(day);
        }
        CashLedger ledger = new CashLedger(plan, starts, day);
        RunSettings settings = result.settings();
        double[][] amounts = ledger.post(plan, settings, result.iterations());
        CompiledPlan certain = plan.with(Variation.CERTAIN);
        double[][] plannedAmounts = new CashLedger(certain, starts, day).post(certain, settings, 1);
        double[] planned = new double[starts.size()];
        for (int p = 0; p < planned.length; p++) {
            planned[p] = plannedAmounts[p][0];
        }
        return new CashFlow(starts, planned, amounts);
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
        return new CashFlow(starts, sum, sums);
    }
}
