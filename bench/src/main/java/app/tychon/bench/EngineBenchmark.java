package app.tychon.bench;

import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Effect;
import app.tychon.core.analysis.Moves;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.DrivingFutures;
import app.tychon.core.simulation.Floats;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * What the engine takes, on two threads and with one gigabyte of memory, criticality and Latin hypercube included. Unless
 * a name says otherwise: 10,000 activities of two links, 500 cost lines and 200 risks × 10,000 iterations.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2)
@Measurement(iterations = 3)
@Fork(value = 1, jvmArgs = "-Xmx1g")
public class EngineBenchmark {
    private static final int THREADS = 2;
    private static final RunSettings LONG = settings(10_000);
    private static final RunSettings SHORT = settings(1000);

    /** A plan that is compiled when it is first asked for, so that each benchmark makes its own alone. */
    private final Map<LargePlans, CompiledPlan> compiled = new LinkedHashMap<>();

    private RunResult drawn;

    private static RunSettings settings(int iterations) {
        return new RunSettings(iterations, 4711, Sampling.LATIN, THREADS);
    }

    private CompiledPlan compiled(LargePlans plan) {
        return compiled.computeIfAbsent(plan, p -> CompiledPlan.of(p.plan()));
    }

    private RunResult simulate(LargePlans plan) {
        return Simulation.run(compiled(plan), LONG, RunMonitor.NONE);
    }

    @Benchmark
    public int[] bareKernel() {
        return new BareKernel(10_000, LargePlans.REACH).run(10_000, THREADS);
    }

    @Benchmark
    public RunResult oneCalendar() {
        return simulate(LargePlans.large(1, false, false));
    }

    @Benchmark
    public RunResult twoCalendars() {
        return simulate(LargePlans.large(2, false, false));
    }

    @Benchmark
    public RunResult fiveCalendars() {
        return simulate(LargePlans.large(5, false, false));
    }

    @Benchmark
    public RunResult mixedMilestones() {
        return simulate(LargePlans.large(1, true, false));
    }

    @Benchmark
    public RunResult underWay() {
        return simulate(LargePlans.large(1, true, true));
    }

    @Benchmark
    public RunResult halfTheActivities() {
        return simulate(new LargePlans(5000, 1, 250, 100, false, false));
    }

    @Benchmark
    public RunResult halfTheIterations() {
        return Simulation.run(compiled(LargePlans.large(1, false, false)), settings(5000), RunMonitor.NONE);
    }

    /** Every input's part in finish and cost, once the run is there. */
    @Benchmark
    public List<List<Driver>> drivers() {
        CompiledPlan plan = compiled(LargePlans.large(1, false, false));
        if (drawn == null) {
            drawn = Simulation.run(plan, LONG, RunMonitor.NONE);
        }
        return Sensitivity.drivers(
                Inputs.of(plan), LONG, List.of(drawn.duration(), drawn.cost().totals()));
    }

    @Benchmark
    public RunResult thousandIterations() {
        return Simulation.run(compiled(LargePlans.large(1, false, false)), SHORT, RunMonitor.NONE);
    }

    /** Finish and cost alone of a thousand iterations, as after an edit. */
    @Benchmark
    public Outcomes outcomesAlone() {
        return Simulation.outcomes(compiled(LargePlans.large(1, false, false)), SHORT, RunMonitor.NONE);
    }

    /** What each of the 200 risks does, over a thousand iterations. */
    @Benchmark
    public List<Effect<String>> effectsOfAllRisks() {
        CompiledPlan plan = compiled(LargePlans.large(1, false, false));
        Map<String, Variation> off = new LinkedHashMap<>();
        for (Risk risk : plan.network().plan().risks()) {
            off.put(risk.id(), plan.variation().withRisk(risk.id(), RiskSetting.OFF));
        }
        return Effect.of(plan, SHORT, off, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {});
    }

    /** What each of fifty estimates held at plan moves, over a thousand iterations. */
    @Benchmark
    public List<Moves<Input>> removalOfFifty() {
        CompiledPlan plan = compiled(LargePlans.large(1, false, false));
        Inputs inputs = Inputs.of(plan);
        Map<Input, Variation> held = new LinkedHashMap<>();
        inputs.all().stream().limit(50).forEach(input -> held.put(input, inputs.without(input)));
        return Moves.of(plan, Aim.FINISH, SHORT, held, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {});
    }

    /** How much float each activity has in a thousand iterations. */
    @Benchmark
    public List<Optional<Floats.OfActivity>> floats() {
        return Floats.of(compiled(LargePlans.large(1, false, false)), SHORT, 5, RunMonitor.NONE);
    }

    /** Which path drove in which of a thousand iterations. */
    @Benchmark
    public DrivingFutures drivingFutures() {
        return DrivingFutures.of(compiled(LargePlans.large(1, false, false)), SHORT, RunMonitor.NONE);
    }

    /** 500 activities × 1,000 iterations, compiled and simulated, once warm. */
    @Benchmark
    @Warmup(iterations = 60)
    @Measurement(iterations = 21)
    public RunResult smallCompiledAndSimulated() {
        Plan plan = new LargePlans(500, 1, 25, 20, false, false).plan();
        return Simulation.run(CompiledPlan.of(plan), SHORT, RunMonitor.NONE);
    }
}
