package app.tychon.core.analysis;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * How much of a resource is at work over time: in each period the most units at once, from the start to the finish of the
 * activities that use it, whichever calendars they have.
 *
 * @param starts  first day of each period
 * @param planned units, by period, in the plan without uncertainty
 * @param units   by period, a value an iteration
 */
public record ResourceLoad(List<LocalDate> starts, double[] planned, double[][] units) {
    /** Rounding of units is no excess. */
    private static final double NOISE = 1e-9;

    public ResourceLoad {
        starts = List.copyOf(starts);
    }

    /**
     * Simulates for it.
     *
     * @throws IllegalArgumentException where there is no such resource, or nothing uses it
     * @throws java.util.concurrent.CancellationException when it is stopped before anything was done, or interrupted
     */
    public static ResourceLoad of(
            CompiledPlan plan, RunSettings settings, String resource, Period period, RunMonitor monitor) {
        return of(plan, settings, List.of(resource), period, monitor);
    }

    /** The same of several resources that are drawn from one stock. */
    public static ResourceLoad of(
            CompiledPlan plan, RunSettings settings, List<String> resources, Period period, RunMonitor monitor) {
        Uses uses = new Uses(plan.network(), resources);
        double[][] starts = new double[uses.size()][settings.iterations()];
        double[][] finishes = new double[uses.size()][settings.iterations()];
        Batches.each(
                plan, settings, monitor, (worker, first, count) -> uses.keep(worker, first, count, starts, finishes));
        double[][] plannedStarts = new double[uses.size()][1];
        double[][] plannedFinishes = new double[uses.size()][1];
        Batches.each(
                plan.with(Variation.CERTAIN),
                new RunSettings(1, 1, Sampling.PLAIN, 1),
                RunMonitor.NONE,
                (worker, first, count) -> uses.keep(worker, first, count, plannedStarts, plannedFinishes));
        double from = Math.min(least(starts), least(plannedStarts));
        double to = Math.max(most(finishes), most(plannedFinishes));
        List<LocalDate> days = new ArrayList<>();
        LocalDate day = period.first(Instants.toCivil(from).toLocalDate());
        while (days.isEmpty() || Instants.of(day.atStartOfDay()) < to) {
            days.add(day);
            day = period.next(day);
        }
        double[] edges = new double[days.size() + 1];
        for (int p = 0; p < days.size(); p++) {
            edges[p] = Instants.of(days.get(p).atStartOfDay());
        }
        edges[days.size()] = Instants.of(day.atStartOfDay());
        double[][] units = new double[days.size()][settings.iterations()];
        for (int i = 0; i < settings.iterations(); i++) {
            uses.most(starts, finishes, i, edges, units, i);
        }
        double[][] planned = new double[days.size()][1];
        uses.most(plannedStarts, plannedFinishes, 0, edges, planned, 0);
        return new ResourceLoad(
                days, Arrays.stream(planned).mapToDouble(one -> one[0]).toArray(), units);
    }

    private static double least(double[][] rows) {
        return Arrays.stream(rows).flatMapToDouble(Arrays::stream).min().orElseThrow();
    }

    private static double most(double[][] rows) {
        return Arrays.stream(rows).flatMapToDouble(Arrays::stream).max().orElseThrow();
    }

    /** Share of futures in which more than the limit is at work in a period. */
    public double exceeded(Resource resource, int period) {
        return exceeded(resource.limit().orElse(Double.POSITIVE_INFINITY), period);
    }

    /** The same of a limit. */
    public double exceeded(double most, int period) {
        double limit = most + NOISE;
        return Arrays.stream(units[period]).filter(units -> units > limit).count() / (double) units[period].length;
    }

    /** Share of futures in which more than the limit is at work at any time. */
    public double everExceeded(Resource resource) {
        return everExceeded(resource.limit().orElse(Double.POSITIVE_INFINITY));
    }

    /** The same of a limit. */
    public double everExceeded(double most) {
        double limit = most + NOISE;
        int futures = units[0].length;
        int exceeded = 0;
        for (int i = 0; i < futures; i++) {
            int future = i;
            exceeded += Arrays.stream(units).anyMatch(period -> period[future] > limit) ? 1 : 0;
        }
        return exceeded / (double) futures;
    }

    /** The activities that use a resource, and how much of it. */
    private static final class Uses {
        private final int[] positions;
        private final double[] units;

        Uses(Network network, List<String> resources) {
            List<Assignment> all = network.plan().assignments().stream()
                    .filter(one -> resources.contains(one.resource()) && one.units() > 0)
                    .toList();
            if (all.isEmpty()) {
                throw new IllegalArgumentException("nothing uses a resource " + resources);
            }
            positions = all.stream()
                    .mapToInt(one -> network.position(one.activity()))
                    .toArray();
            units = all.stream().mapToDouble(Assignment::units).toArray();
        }

        int size() {
            return positions.length;
        }

        void keep(BatchWorker worker, int first, int count, double[][] starts, double[][] finishes) {
            for (int u = 0; u < positions.length; u++) {
                System.arraycopy(worker.lanes.start[positions[u]], 0, starts[u], first, count);
                System.arraycopy(worker.lanes.finish[positions[u]], 0, finishes[u], first, count);
            }
        }

        /** Goes through starts and finishes in the order of time; what ends where another starts has ended. */
        void most(double[][] starts, double[][] finishes, int i, double[] edges, double[][] out, int column) {
            List<double[]> events = new ArrayList<>();
            for (int u = 0; u < positions.length; u++) {
                if (finishes[u][i] > starts[u][i]) {
                    events.add(new double[] {starts[u][i], units[u]});
                    events.add(new double[] {finishes[u][i], -units[u]});
                }
            }
            events.sort(Comparator.<double[]>comparingDouble(event -> event[0]).thenComparingDouble(event -> event[1]));
            double now = 0;
            int next = 0;
            for (int p = 0; p < out.length; p++) {
                out[p][column] = Math.max(out[p][column], now);
                while (next < events.size() && events.get(next)[0] < edges[p + 1]) {
                    now += events.get(next)[1];
                    out[p][column] = Math.max(out[p][column], now);
                    next++;
                }
                now = Math.abs(now) < NOISE ? 0 : now;
            }
        }
    }
}
