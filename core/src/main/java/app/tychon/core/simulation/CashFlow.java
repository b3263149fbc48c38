package app.tychon.core.simulation;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Action;
import app.tychon.core.model.CostTiming;
import app.tychon.core.schedule.Network;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoublePredicate;

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
        Ledger ledger = new Ledger(plan, starts, day);
        RunSettings settings = result.settings();
        double[][] amounts = ledger.post(plan, settings, result.iterations());
        CompiledPlan certain = plan.with(Variation.CERTAIN);
        double[][] plannedAmounts = new Ledger(certain, starts, day).post(certain, settings, 1);
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

    /** Posts the money of batches to periods. */
    private static final class Ledger {
        private final Network network;
        private final double[] edges;
        /** Working minutes at each edge, by time map. */
        private final Map<WorkingTime, double[]> works = new IdentityHashMap<>();

        private double[][] amounts;
        private BatchWorker worker;

        Ledger(CompiledPlan plan, List<LocalDate> starts, LocalDate end) {
            network = plan.network();
            edges = new double[starts.size() + 1];
            for (int p = 0; p < starts.size(); p++) {
                edges[p] = Instants.of(starts.get(p).atStartOfDay());
            }
            edges[starts.size()] = Instants.of(end.atStartOfDay());
        }

        double[][] post(CompiledPlan plan, RunSettings settings, int iterations) {
            amounts = new double[edges.length - 1][iterations];
            worker = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()), Simulation.BATCH);
            for (int first = 0; first < iterations; first += Simulation.BATCH) {
                int from = first;
                int count = Math.min(Simulation.BATCH, iterations - first);
                worker.iterate(first, count, i -> {}, (on, timing, total) -> spent(on, timing, total, from, count));
            }
            WorkingTime clock =
                    WorkingTimes.clock(network.plan().project().start().toLocalDate());
            for (Action action : ResponseActions.of(plan.network().plan(), plan.variation())) {
                double start = Instants.of(action.start().atStartOfDay());
                double finish = Instants.of(action.finish().plusDays(1).atStartOfDay());
                for (int i = 0; i < iterations; i++) {
                    evenly(clock, start, finish, action.cost(), i);
                }
            }
            return amounts;
        }

        private void spent(String on, CostTiming timing, double[] total, int first, int count) {
            boolean isBranch = network.branches().isBranch(on);
            int row = isBranch ? worker.spans.row(on) : network.position(on);
            if (isBranch && network.branches().beneath(on).length == 0) {
                // Without activities it has no dates of its own.
                for (int k = 0; k < count; k++) {
                    at(edges[0], total[k], first + k);
                }
                return;
            }
            WorkingTime time = isBranch ? network.projectTime() : network.time(row);
            for (int k = 0; k < count; k++) {
                double start = isBranch ? worker.spans.start[row][k] : worker.lanes.start[row][k];
                double finish = isBranch ? worker.spans.finish[row][k] : worker.lanes.finish[row][k];
                switch (timing) {
                    case START -> amounts[periodFrom(start)][first + k] += total[k];
                    case FINISH -> at(finish, total[k], first + k);
                    case EVEN -> evenly(time, start, finish, total[k], first + k);
                }
            }
        }

        private void at(double finish, double money, int iteration) {
            amounts[periodTo(finish)][iteration] += money;
        }

        /** The period that what starts at an instant falls into: at midnight, the one that begins. */
        private int periodFrom(double start) {
            return lastEdge(edge -> edge <= start);
        }

        /** The period that what finishes at an instant falls into: at midnight, the one that ends. */
        private int periodTo(double finish) {
            return lastEdge(edge -> edge < finish);
        }

        private int lastEdge(DoublePredicate lies) {
            int low = 0;
            int high = edges.length - 2;
            while (low < high) {
                int middle = (low + high + 1) >>> 1;
                if (lies.test(edges[middle])) {
                    low = middle;
                } else {
                    high = middle - 1;
                }
            }
            return low;
        }

        private void evenly(WorkingTime time, double start, double finish, double money, int iteration) {
            double from = time.work(start);
            double all = time.work(finish) - from;
            if (all <= 0) {
                at(finish, money, iteration);
                return;
            }
            double[] work = works.computeIfAbsent(time, this::workAtEdges);
            int lastPeriod = periodTo(finish);
            for (int p = periodFrom(start); p <= lastPeriod; p++) {
                double begin = Math.max(from, work[p]);
                double end = p == lastPeriod ? from + all : Math.min(from + all, work[p + 1]);
                amounts[p][iteration] += money * Math.max(0, end - begin) / all;
            }
        }

        private double[] workAtEdges(WorkingTime time) {
            return Arrays.stream(edges).map(time::work).toArray();
        }
    }
}
