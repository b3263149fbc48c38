package app.tychon.core.simulation;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Action;
import app.tychon.core.model.CostTiming;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.ResponseActions;
import app.tychon.core.simulation.settings.RunSettings;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoublePredicate;

/** Posts the money of a run to periods. */
final class CashLedger {
    private final Network network;
    private final double[] edges;
    /** Working minutes at each edge, by time map. */
    private final Map<WorkingTime, double[]> works = new IdentityHashMap<>();

    private double[][] amounts;
    private BatchWorker worker;

    CashLedger(CompiledPlan plan, List<LocalDate> starts, LocalDate end) {
        network = plan.network();
        edges = new double[starts.size() + 1];
        for (int p = 0; p < starts.size(); p++) {
            edges[p] = Instants.of(starts.get(p).atStartOfDay());
        }
        edges[starts.size()] = Instants.of(end.atStartOfDay());
    }

    double[][] post(CompiledPlan plan, RunSettings settings, int iterations) {
        amounts = new double[edges.length - 1][iterations];
        worker = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()), Batch.WIDTH);
        for (int first = 0; first < iterations; first += Batch.WIDTH) {
            Batch batch = worker.batch(first, Math.min(Batch.WIDTH, iterations - first));
            worker.iterate(batch, new Posting(batch));
        }
        WorkingTime clock = WorkingTimes.clock(network.plan().project().start().toLocalDate());
        for (Action action : ResponseActions.of(plan.network().plan(), plan.variation())) {
            double start = Instants.of(action.start().atStartOfDay());
            double finish = Instants.of(action.finish().plusDays(1).atStartOfDay());
            for (int i = 0; i < iterations; i++) {
                evenly(clock, start, finish, action.cost(), i);
            }
        }
        return amounts;
    }

    /** Posts the money of a batch as it falls due. */
    private final class Posting implements Witness {
        private final Batch batch;

        Posting(Batch batch) {
            this.batch = batch;
        }

        @Override
        public void spent(int index, CostItem item) {
            post(item.on(), item.timing(), worker.money.total, batch.first(), batch.count());
        }

        @Override
        public void added(int index, AddedCost one) {
            post(one.on(), CostTiming.EVEN, worker.money.total, batch.first(), batch.count());
        }
    }

    private void post(String on, CostTiming timing, double[] total, int first, int count) {
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
