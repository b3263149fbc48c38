package app.tychon.core.simulation;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.RiskResult;
import app.tychon.core.simulation.settings.Interim;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.core.simulation.tally.ActivityTallies;
import app.tychon.core.simulation.tally.BranchTallies;
import app.tychon.core.simulation.tally.DrivingPaths;
import app.tychon.core.simulation.tally.OrderedSums;
import app.tychon.core.simulation.tally.OutputSamples;
import app.tychon.core.simulation.tally.Samples;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The Monte Carlo engine. Iterations are worked off in batches of {@value Batch#WIDTH}, side by side per activity in
 * topological order; threads take batches in turn and nothing they add up depends on who took which. An iteration itself
 * is {@link BatchWorker#iterate}. O(iterations × (activities + links)).
 */
public final class Simulation {
    /** Iterations that show what range to expect of each activity. */
    private static final int PILOT = 100;

    private final CompiledPlan plan;
    private final Network network;
    private final RunSettings settings;
    private final RunMonitor monitor;
    private final Draws draws;
    private final Samples samples;
    private final OutputSamples outputs;
    private final DrivingPaths paths;
    private final ActivityTallies tallies;
    private final double planDuration;

    private final OrderedSums sums;
    private final OrderedSums ownerSums;
    private final OrderedSums struck;
    private final BranchTallies branches;
    private final Batches batches;

    private Simulation(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        this.plan = plan;
        this.settings = settings;
        this.monitor = monitor;
        network = plan.network();
        draws = new Draws(settings.seed(), settings.sampling());
        samples = new Samples(settings.iterations());
        outputs = OutputSamples.of(plan, settings.iterations());
        paths = new DrivingPaths(network, settings.iterations());
        planDuration = network.frame().work(plan.schedule().finish());
        int count = Math.min(PILOT, settings.iterations());
        BatchWorker pilot = new BatchWorker(plan, draws, count);
        pilot.iterate(pilot.batch(0, count), Witness.NONE);
        tallies = ActivityTallies.forPilot(pilot.lanes, count);
        branches = BranchTallies.forPilot(network, pilot.spans, count);
        batches = new Batches(settings, monitor);
        sums = new OrderedSums(ActivityTallies.sumsSize(network.size()));
        ownerSums = new OrderedSums(plan.costs().owners().size());
        struck = new OrderedSums(plan.risks().events().size());
    }

    /**
     * Simulates a plan.
     *
     * @param monitor is told of progress and may ask to stop; then the iterations done by then are the result
     * @throws CancellationException when stopped before anything was done, or the thread is interrupted
     */
    public static RunResult run(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        return new Simulation(plan, settings, monitor).run();
    }

    /**
     * Finish and cost alone; the values are those of {@link #run} with the same settings.
     *
     * @throws CancellationException when stopped before anything was done, or the thread is interrupted
     */
    public static Outcomes outcomes(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        Samples samples = new Samples(settings.iterations());
        return samples.outcomes(plan, Batches.each(plan, settings, monitor, samples::add));
    }

    private RunResult run() {
        monitor.begun(new SoFar());
        batches.run(Recorder::new, this::isSteady).forEach(recorder -> {
            tallies.merge(recorder.part);
            branches.merge(recorder.branchPart);
        });
        int n = batches.done();
        double[] duration = Arrays.copyOf(samples.duration, n);
        double[] deviations = Arrays.stream(duration).map(d -> d - planDuration).toArray();
        double[] money = ownerSums.totals();
        List<Output> kept = outputs.result(n);
        Map<String, Integer> owners = plan.costs().owners();
        return new RunResult(
                settings,
                n,
                Arrays.copyOf(samples.start, n),
                Arrays.copyOf(samples.finish, n),
                duration,
                samples.cost(plan, n),
                plan.schedule().finish(),
                planDuration,
                exact(
                        tallies.results(
                                plan,
                                sums.totals(),
                                deviations,
                                n,
                                id -> owners.containsKey(id) ? money[owners.get(id)] / n : 0),
                        kept),
                branches.results(n),
                kept,
                riskResults(n),
                paths.result(n, duration, i -> Replay.of(plan, settings, i).path()));
    }

    /** Percentiles of activities of which every value was kept are those of the values. */
    private List<ActivityResult> exact(List<ActivityResult> activities, List<Output> kept) {
        Map<String, Output> byId = kept.stream()
                .filter(output -> output.kind() == Output.Kind.ACTIVITY)
                .collect(Collectors.toMap(Output::id, Function.identity()));
        return activities.parallelStream()
                .map(one -> byId.containsKey(one.id()) ? one.with(percentiles(byId.get(one.id()))) : one)
                .toList();
    }

    private ActivityResult.Percentiles percentiles(Output output) {
        WorkingTime time = network.frame(output.id()).time();
        return new ActivityResult.Percentiles(
                Sample.of(output.duration()).percentiles(),
                DateSample.of(output.start(), time).percentiles(),
                DateSample.of(output.finish(), time).percentiles());
    }

    /** Whether finish, cost and every watched finish are known well enough; the first that is not settles it. */
    private boolean isSteady(int done) {
        return settings.until()
                .filter(until -> judged(done)
                        .allMatch(values ->
                                Steadiness.width(until.level(), until.certainty(), values, done) <= until.tolerance()))
                .isPresent();
    }

    /**
     * By what a run is judged to be steady, each made when it is looked at. Finishes count in working time: that two futures
     * lie on either side of a weekend is no uncertainty.
     */
    private Stream<double[]> judged(int done) {
        return Stream.<Supplier<Stream<double[]>>>of(
                        () -> Stream.of(samples.duration),
                        () -> Stream.of(samples.cost(plan, done).totals()),
                        () -> outputs.watchedFinishes(done).stream())
                .flatMap(Supplier::get);
    }

    /** What is there while the run goes on. */
    private final class SoFar implements Interim {
        @Override
        public Values values() {
            int n = batches.doneInOrder();
            return new Values(
                    Arrays.copyOf(samples.finish, n),
                    Arrays.copyOf(samples.duration, n),
                    samples.cost(plan, n).totals());
        }

        @Override
        public double unsteadiness(double level, double certainty, int count) {
            return judged(count)
                    .mapToDouble(values -> Steadiness.width(level, certainty, values, count))
                    .max()
                    .orElse(0);
        }
    }

    private List<RiskResult> riskResults(int n) {
        double[] totals = struck.totals();
        return plan.risks().events().stream()
                .map(event -> new RiskResult(event.risk().id(), totals[event.index()] / n))
                .sorted(Comparator.comparing(RiskResult::id))
                .toList();
    }

    /** What one thread simulates with, and how it records a batch. */
    private final class Recorder implements Batches.Work {
        private final BatchWorker worker = new BatchWorker(plan, draws, Batch.WIDTH);
        private final PathTrace pathTrace = new PathTrace(network.size(), Batch.WIDTH, worker.trace);
        private final ActivityTallies part = tallies.sibling();
        private final BranchTallies branchPart = branches.sibling();
        private final double[] deviations = new double[Batch.WIDTH];

        @Override
        public void batch(int first, int count) {
            double[] batchSums = new double[ActivityTallies.sumsSize(network.size())];
            worker.iterate(worker.batch(first, count), new Witness() {
                @Override
                public void placed(int position) {
                    part.addDates(position, worker.lanes, count, batchSums);
                }
            });
            worker.trace.run(worker.lanes, count);
            for (int k = 0; k < count; k++) {
                deviations[k] = worker.duration(k) - planDuration;
            }
            part.addCritical(worker.lanes, count, deviations, batchSums);
            branchPart.add(worker.lanes, worker.spans, count, part::wasCritical);
            samples.add(worker, first, count);
            outputs.add(worker, first, count);
            pathTrace.run(worker.lanes, count);
            paths.add(pathTrace, first, count);
            sums.add(first / Batch.WIDTH, batchSums);
            ownerSums.add(
                    first / Batch.WIDTH,
                    Arrays.stream(worker.money.owners)
                            .mapToDouble(own -> Arrays.stream(own, 0, count).sum())
                            .toArray());
            struck.add(
                    first / Batch.WIDTH,
                    Arrays.stream(worker.strikes.count)
                            .mapToDouble(times -> Arrays.stream(times, 0, count)
                                    .filter(t -> t > 0)
                                    .count())
                            .toArray());
        }
    }
}
