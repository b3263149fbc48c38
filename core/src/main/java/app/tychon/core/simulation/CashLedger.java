package app.tychon.core.simulation;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Action;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.DueLanes;
import app.tychon.core.simulation.money.LaneDates;
import app.tychon.core.simulation.money.Part;
import app.tychon.core.simulation.money.Place;
import app.tychon.core.simulation.money.ResponseActions;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoublePredicate;

/** Posts the money of a run to periods; threads post different iterations. */
final class CashLedger {
    private final CompiledPlan plan;
    private final Network network;
    private final Slice slice;
    private final double[] edges;
    /** Working minutes at each edge, by time map. */
    private final Map<WorkingTime, double[]> works = new ConcurrentHashMap<>();

    private final double[][] amounts;

    private CashLedger(CompiledPlan plan, List<LocalDate> starts, LocalDate end, Slice slice, int iterations) {
        this.plan = plan;
        this.slice = slice;
        network = plan.network();
        edges = new double[starts.size() + 1];
        for (int p = 0; p < starts.size(); p++) {
            edges[p] = Instants.of(starts.get(p).atStartOfDay());
        }
        edges[starts.size()] = Instants.of(end.atStartOfDay());
        amounts = new double[starts.size()][iterations];
    }

    /** By period, a value an iteration. @param settings of which all iterations are simulated */
    static double[][] post(
            CompiledPlan plan,
            List<LocalDate> starts,
            LocalDate end,
            Slice slice,
            RunSettings settings,
            RunMonitor monitor) {
        CashLedger ledger = new CashLedger(plan, starts, end, slice, settings.iterations());
        Batches.watched(
                plan,
                settings,
                monitor,
                worker -> (first, count) -> ledger.new Posting(worker, first, count),
                (worker, first, count) -> {});
        if (slice.isWhole()) {
            ledger.postActions(settings.iterations());
        }
        return ledger.amounts;
    }

    private void postActions(int iterations) {
        WorkingTime clock = WorkingTimes.clock(network.plan().project().start().toLocalDate());
        for (Action action : ResponseActions.of(network.plan(), plan.variation())) {
            double start = Instants.of(action.start().atStartOfDay());
            double finish = Instants.of(action.finish().plusDays(1).atStartOfDay());
            for (int i = 0; i < iterations; i++) {
                evenly(clock, start, finish, action.cost(), i);
            }
        }
    }

    /** Posts the money of a batch as it falls due. */
    private final class Posting implements Witness {
        private final BatchWorker worker;
        private final int first;
        private final int count;

        Posting(BatchWorker worker, int first, int count) {
            this.worker = worker;
            this.first = first;
            this.count = count;
        }

        @Override
        public void spent(int index, CostItem item) {
            if (!slice.holds(item)) {
                return;
            }
            LaneDates dates = new LaneDates(worker.lanes, worker.spans, count);
            DueLanes due = worker.money.due;
            if (item.spent() != 0) {
                postSpent(item, dates, due);
            }
            due.fill(item, dates, count);
            due.weigh(item, worker.money.rates, count);
            for (int p = 0; p < item.parts().size(); p++) {
                for (int k = 0; k < count; k++) {
                    double money = (worker.money.total[k] - item.spent()) * due.share[p][k];
                    post(item.parts().get(p), due.from[p][k], due.to[p][k], money, first + k);
                }
            }
        }

        /** What is spent was spent evenly from the start of what it stands on to the data date. */
        private void postSpent(CostItem item, LaneDates dates, DueLanes due) {
            dates.starts(item.place(), due.from[0]);
            WorkingTime time = time(item.place());
            for (int k = 0; k < count; k++) {
                double start = Math.min(item.earliest(), Math.max(edges[0], due.from[0][k]));
                evenly(time, start, item.earliest(), item.spent(), first + k);
            }
        }

        @Override
        public void added(int index, AddedCost one) {
            if (!slice.holds(one)) {
                return;
            }
            LaneDates dates = new LaneDates(worker.lanes, worker.spans, count);
            DueLanes due = worker.money.due;
            dates.starts(one.place(), due.from[0]);
            dates.finishes(one.place(), due.to[0]);
            WorkingTime time = time(one.place());
            for (int k = 0; k < count; k++) {
                if (Double.isFinite(due.from[0][k])) {
                    evenly(time, due.from[0][k], due.to[0][k], worker.money.total[k], first + k);
                } else {
                    // Without activities it has no dates of its own.
                    at(edges[0], worker.money.total[k], first + k);
                }
            }
        }
    }

    private WorkingTime time(Place place) {
        return place.isBranch() ? network.projectTime() : network.time(place.position());
    }

    private void post(Part part, double from, double to, double money, int iteration) {
        switch (part.when()) {
            case START, DAY -> amounts[periodFrom(from)][iteration] += money;
            case FINISH -> at(to, money, iteration);
            case EVENLY -> evenly(time(part.place()), from, to, money, iteration);
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
        int firstPeriod = periodFrom(start);
        int lastPeriod = periodTo(finish);
        double since = from;
        for (int p = firstPeriod; p <= lastPeriod; p++) {
            double until = p == lastPeriod ? from + all : Math.min(from + all, work[p + 1]);
            amounts[p][iteration] += money * Math.max(0, until - since) / all;
            since = Math.max(since, until);
        }
    }

    private double[] workAtEdges(WorkingTime time) {
        return Arrays.stream(edges).map(time::work).toArray();
    }
}
