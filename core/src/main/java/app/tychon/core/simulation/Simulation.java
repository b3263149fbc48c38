package app.tychon.core.simulation;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.engine.Apart;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
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
import app.tychon.core.simulation.tally.BlockWorker;
import app.tychon.core.simulation.tally.OrderedSums;
import app.tychon.core.simulation.tally.OutcomeWorker;
import app.tychon.core.simulation.tally.Recorder;
import app.tychon.core.simulation.tally.Samples;
import app.tychon.core.simulation.tally.Tallies;
import app.tychon.core.simulation.tally.Values;
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
    private final CompiledPlan plan;
    private final Network network;
    private final RunSettings settings;
    private final RunMonitor monitor;
    private final Values values;
    private final Tallies tallies;
    private final OrderedSums sums;
    private final Batches batches;
    private final double planDuration;

    private Simulation(CompiledPlan plan, RunSettings settings, RunMonitor monitor, Helpers helpers) {
        this.plan = plan;
        this.settings = settings;
        this.monitor = monitor;
        network = plan.network();
        planDuration = Recorder.planDuration(plan);
        values = Values.ofRun(plan, settings);
        tallies = Tallies.of(plan, settings);
        sums = new OrderedSums(Recorder.sumsSize(plan));
        batches = new Batches(Task.all(plan, settings), monitor, new PutTogether(), helpers);
    }

    /**
     * Simulates a plan.
     *
     * @param monitor is told of progress and may ask to stop; then the iterations done by then are the result
     * @throws CancellationException when stopped before anything was done, or the thread is interrupted
     */
    public static RunResult run(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        return run(plan, settings, monitor, Helpers.NONE);
    }

    /** The same with the help of others, who work at {@link RunBlocks}; they change no number. */
    public static RunResult run(CompiledPlan plan, RunSettings settings, RunMonitor monitor, Helpers helpers) {
        return new Simulation(plan, settings, monitor, helpers).run();
    }

    /**
     * Finish and cost alone; the values are those of {@link #run} with the same settings.
     *
     * @throws CancellationException when stopped before anything was done, or the thread is interrupted
     */
    public static Outcomes outcomes(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        return outcomes(plan, settings, monitor, Helpers.NONE);
    }

    /** The same with the help of others, who work at {@link RunBlocks}; they change no number. */
    public static Outcomes outcomes(CompiledPlan plan, RunSettings settings, RunMonitor monitor, Helpers helpers) {
        Samples samples = new Samples(settings.iterations());
        Task task = Task.outcomes(plan, settings);
        RunBlocks late = RunBlocks.of(task);
        Apart apart = new Apart() {
            @Override
            public byte[] work(Block block) {
                return late.work(block);
            }

            @Override
            public void keep(Block block, byte[] packed) {
                OutcomeWorker.merge(block, packed, samples);
            }
        };
        return samples.outcomes(plan, Batches.each(task, monitor, samples::add, apart, helpers));
    }

    private RunResult run() {
        monitor.begun(new SoFar());
        batches.run(Hand::new, this::isSteady).forEach(one -> tallies.merge(one.recorder.tallies));
        int n = batches.done();
        Samples samples = values.samples;
        double[] duration = Arrays.copyOf(samples.duration, n);
        double[] deviations = Arrays.stream(duration).map(d -> d - planDuration).toArray();
        double[] totals = sums.totals();
        int money = ActivityTallies.sumsSize(network.size());
        List<Output> kept = values.outputs.result(n);
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
                        tallies.activities.results(
                                plan,
                                totals,
                                deviations,
                                n,
                                id -> owners.containsKey(id) ? totals[money + owners.get(id)] / n : 0),
                        kept),
                tallies.branches.results(n),
                kept,
                riskResults(n, totals),
                values.paths.result(
                        n, duration, i -> Replay.of(plan, settings, i).path()));
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
                        () -> Stream.of(values.samples.duration),
                        () -> Stream.of(values.samples.cost(plan, done).totals()),
                        () -> values.outputs.watchedFinishes(done).stream())
                .flatMap(Supplier::get);
    }

    /** What is there while the run goes on. */
    private final class SoFar implements Interim {
        @Override
        public Values values() {
            int n = batches.doneInOrder();
            Samples samples = values.samples;
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

    private List<RiskResult> riskResults(int n, double[] totals) {
        int first = totals.length - plan.risks().events().size();
        return plan.risks().events().stream()
                .map(event -> new RiskResult(event.risk().id(), totals[first + event.index()] / n))
                .sorted(Comparator.comparing(RiskResult::id))
                .toList();
    }

    /** What one thread does. */
    private final class Hand implements Batches.Work {
        private final Recorder recorder = new Recorder(plan, settings, tallies);

        @Override
        public void batch(int first, int count) {
            sums.add(first / Batch.WIDTH, recorder.batch(first, count, values));
        }
    }

    /** What others have worked off is put to what was worked off here. */
    private final class PutTogether implements Apart {
        private final RunBlocks own = RunBlocks.like(tallies, plan, settings);

        @Override
        public byte[] work(Block block) {
            return own.work(block);
        }

        @Override
        public void keep(Block block, byte[] packed) {
            BlockWorker.merge(block, packed, values, sums, tallies);
        }
    }
}
