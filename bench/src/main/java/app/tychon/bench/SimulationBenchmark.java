package app.tychon.bench;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Compile a plan and simulate it on two threads, criticality and Latin hypercube included. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4)
@Measurement(iterations = 5)
@Fork(value = 1, jvmArgs = "-Xmx2g")
public class SimulationBenchmark {
    /** Activities x iterations x calendars x cost lines x risks. */
    @Param({
        "500x1000x1x25x20",
        "1000x10000x1x50x20",
        "2000x10000x1x100x40",
        "2000x10000x1x100x400",
        "2000x20000x1x100x40",
        "2000x10000x5x100x40",
        "10000x10000x1x500x200"
    })
    public String size;

    private Plan plan;
    private RunSettings settings;

    @Setup
    public void makePlan() {
        String[] sizes = size.split("x");
        plan = LargePlans.plan(
                Integer.parseInt(sizes[0]),
                Integer.parseInt(sizes[2]),
                Integer.parseInt(sizes[3]),
                Integer.parseInt(sizes[4]));
        settings = new RunSettings(Integer.parseInt(sizes[1]), 4711, Sampling.LATIN, 2);
    }

    @Benchmark
    public RunResult compileAndSimulate() {
        return Simulation.run(CompiledPlan.of(plan), settings, RunMonitor.NONE);
    }
}
