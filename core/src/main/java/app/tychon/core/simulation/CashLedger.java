package app.tychon.core.simulation;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Action;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
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

/** Posts the money of a run to periods; threads post different iterations. */
final class CashLedger {
    private static final double DAY = 24 * 60;

    private final CompiledPlan plan;
    private final Network network;
    private final Slice slice;
    private final double[] edges;
    /** The period of each day, from the first edge on; edges are midnights. */
    private final int[] periodOfDay;
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
        periodOfDay = new int[(int) Math.round((edges[starts.size()] - edges[0]) / DAY)];
        for (int day = 0, p = 0; day < periodOfDay.length; day++) {
            while (edges[p + 1] <= edges[0] + day * DAY) {
                p++;
            }
            periodOfDay[day] = p;
        }
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
                worker -> {
                    double[][] page = new double[starts.size()][Batch.WIDTH];
                    return (first, count) -> ledger.new Posting(worker, page, first, count);
                },
                (worker, first, count) -> {});
        if (slice.isWhole()) {
            ledger.postActions(settings.iterations());
        }
        return ledger.amounts;
    }

    private void postActions(int iterations) {
        WorkingTime clock = WorkingTimes.clock(network.plan().project().start().toLocalDate());
        double[] ofAction = new double[edges.length - 1];
        for (Action action : ResponseActions.of(network.plan(), plan.variation())) {
            double[][] page = new double[edges.length - 1][1];
            double start = Instants.of(action.start().atStartOfDay());
            double finish = Instants.of(action.finish().plusDays(1).atStartOfDay());
            evenly(clock, start, finish, clock.work(start), clock.work(finish), action.cost(), page, 0);
            for (int p = 0; p < ofAction.length; p++) {
                ofAction[p] += page[p][0];
            }
        }
        for (int p = 0; p < ofAction.length; p++) {
            for (int i = 0; i < iterations; i++) {
                amounts[p][i] += ofAction[p];
            }
        }
    }

    /** Posts the money of a batch as it falls due: to a page of the thread's own, which goes into the ledger in the end. */
    private final class Posting implements Witness {
        private final BatchWorker worker;
        private final double[][] page;
        private final int first;
        private final int count;
        private final double[] workFrom = new double[Batch.WIDTH];
        private final double[] workTo = new double[Batch.WIDTH];

        Posting(BatchWorker worker, double[][] page, int first, int count) {
            this.worker = worker;
            this.page = page;
            this.first = first;
            this.count = count;
            for (double[] period : page) {
                Arrays.fill(period, 0, count, 0);
            }
        }

        @Override
        public void ended() {
            for (int p = 0; p < page.length; p++) {
                System.arraycopy(page[p], 0, amounts[p], first, count);
            }
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
            postDue(item, item.spent(), dates, due);
        }

        /** Posts all but what is spent when the parts of an item fall due. */
        private void postDue(CostItem item, double spent, LaneDates dates, DueLanes due) {
            due.fill(item, dates, count);
            due.weigh(item, worker.money.rates, count);
            for (int p = 0; p < item.parts().size(); p++) {
                post(item.parts().get(p), spent, due.from[p], due.to[p], due.share[p]);
            }
        }

        private void post(Part part, double spent, double[] from, double[] to, double[] share) {
            double[] total = worker.money.total;
            switch (part.when()) {
                case START, DAY -> {
                    for (int k = 0; k < count; k++) {
                        page[periodFrom(from[k])][k] += (total[k] - spent) * share[k];
                    }
                }
                case FINISH -> {
                    for (int k = 0; k < count; k++) {
                        page[periodTo(to[k])][k] += (total[k] - spent) * share[k];
                    }
                }
                case EVENLY -> {
                    WorkingTime time = time(part.place());
                    time.works(from, workFrom, count);
                    time.works(to, workTo, count);
                    for (int k = 0; k < count; k++) {
                        double money = (total[k] - spent) * share[k];
                        evenly(time, from[k], to[k], workFrom[k], workTo[k], money, page, k);
                    }
                }
            }
        }

        /** What is spent was spent evenly from the start of what it stands on to the data date. */
        private void postSpent(CostItem item, LaneDates dates, DueLanes due) {
            dates.starts(item.place(), due.from[0]);
            WorkingTime time = time(item.place());
            double until = item.earliest();
            for (int k = 0; k < count; k++) {
                double start = Math.min(until, Math.max(edges[0], due.from[0][k]));
                evenly(time, start, until, time.work(start), time.work(until), item.spent(), page, k);
            }
        }

        @Override
        public void added(int index, AddedCost one) {
            if (!slice.holds(one)) {
                return;
            }
            LaneDates dates = new LaneDates(worker.lanes, worker.spans, count);
            if (one.line().isPresent()) {
                postDue(one.line().get(), 0, dates, worker.money.due);
                return;
            }
            double[] from = worker.money.due.from[0];
            double[] to = worker.money.due.to[0];
            dates.starts(one.place(), from);
            dates.finishes(one.place(), to);
            WorkingTime time = time(one.place());
            for (int k = 0; k < count; k++) {
                double money = worker.money.total[k];
                if (money == 0) {
                    continue;
                }
                if (Double.isFinite(from[k])) {
                    evenly(time, from[k], to[k], time.work(from[k]), time.work(to[k]), money, page, k);
                } else {
                    // Without activities it has no dates of its own.
                    page[periodTo(edges[0])][k] += money;
                }
            }
        }
    }

    private WorkingTime time(Place place) {
        return place.isBranch() ? network.frame(place.on()).time() : network.time(place.position());
    }

    /** The period that what starts at an instant falls into: at midnight, the one that begins. */
    private int periodFrom(double start) {
        return period((int) Math.floor((start - edges[0]) / DAY));
    }

    /** The period that what finishes at an instant falls into: at midnight, the one that ends. */
    private int periodTo(double finish) {
        return period((int) Math.ceil((finish - edges[0]) / DAY) - 1);
    }

    private int period(int day) {
        return periodOfDay[Math.max(0, Math.min(periodOfDay.length - 1, day))];
    }

    /** @param from working minutes at the start; {@code to} at the finish */
    private void evenly(
            WorkingTime time,
            double start,
            double finish,
            double from,
            double to,
            double money,
            double[][] page,
            int column) {
        double all = to - from;
        int lastPeriod = periodTo(finish);
        if (all <= 0) {
            page[lastPeriod][column] += money;
            return;
        }
        int firstPeriod = periodFrom(start);
        if (firstPeriod >= lastPeriod) {
            page[lastPeriod][column] += money;
            return;
        }
        double[] work = works.computeIfAbsent(time, this::workAtEdges);
        double since = from;
        for (int p = firstPeriod; p <= lastPeriod; p++) {
            double until = p == lastPeriod ? to : Math.min(to, work[p + 1]);
            page[p][column] += money * Math.max(0, until - since) / all;
            since = Math.max(since, until);
        }
    }

    private double[] workAtEdges(WorkingTime time) {
        return Arrays.stream(edges).map(time::work).toArray();
    }
}
