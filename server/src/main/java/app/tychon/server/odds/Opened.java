package app.tychon.server.odds;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Outputs;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import app.tychon.server.memory.Recent;
import java.time.LocalDateTime;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;

/** A simulation opened for reading: a recorded run, or what live odds come from. What is costly is made when it is asked for. */
public final class Opened {
    private static final int MOST_KEPT = 8;
    private static final int MOST_ANSWERS = 16;
    private static final long MOST_BYTES = Recent.shareOfMemory(0.03);
    /** An output is start, finish, duration and cost. */
    private static final long EACH = 4L * Double.BYTES;

    /** Has something calculated that takes about so many bytes, and waits for it. */
    interface Calculator {
        <T> T calculate(long bytes, Function<RunMonitor, T> work);
    }

    private final Plan plan;
    private final RunResult result;
    private final Calculator calculator;
    private final WorkingTime time;
    private final Sample finish;
    private final Sample cost;
    private final Function<String, Optional<Output>> kept;
    private final Map<String, Output> outputs =
            new Recent<>(MOST_KEPT, MOST_BYTES, output -> EACH * output.start().length);
    private final Map<Asked, Quantity<LocalDateTime>> dates = new Recent<>(MOST_KEPT, MOST_BYTES, Quantity::bytes);
    private final Map<Asked, Quantity<Double>> amounts = new Recent<>(MOST_KEPT, MOST_BYTES, Quantity::bytes);
    private final Map<Object, Answer<?>> answers = Collections.synchronizedMap(new Recent<>(MOST_ANSWERS));
    private final Supplier<CompiledPlan> compiling;
    /** Whoever compiles must not wait for those who wait for what is calculated. */
    private final Object compilation = new Object();

    private CompiledPlan compiled;

    /**
     * @param compiling makes the plan ready to simulate again
     * @param kept values of an activity or branch, where they were kept
     */
    Opened(
            Plan plan,
            RunResult result,
            Supplier<CompiledPlan> compiling,
            Function<String, Optional<Output>> kept,
            Calculator calculator) {
        this.calculator = calculator;
        this.plan = plan;
        this.result = result;
        this.compiling = compiling;
        this.kept = kept;
        time = WorkingTimes.ofProject(plan);
        finish = dates(result.finish());
        cost = Sample.of(result.cost().totals());
    }

    public Plan plan() {
        return plan;
    }

    public RunResult result() {
        return result;
    }

    /** About how much memory it takes, without what is made of it later. */
    long bytes() {
        return result.bytes() + 2L * Double.BYTES * result.iterations();
    }

    /** The working time of the project. */
    public WorkingTime time() {
        return time;
    }

    /** The project's finish, instants in minutes. */
    public Sample finish() {
        return finish;
    }

    /** The project's total cost. */
    Sample cost() {
        return cost;
    }

    /** Instants, as odds read them. */
    public Sample dates(double[] instants) {
        return DateSample.of(instants, time);
    }

    public CompiledPlan compiled() {
        synchronized (compilation) {
            if (compiled == null) {
                compiled = compiling.get();
            }
            return compiled;
        }
    }

    /** Calculates something of so many iterations of this plan, where all that simulates takes its turn. */
    public <T> T calculate(int iterations, BiFunction<CompiledPlan, RunMonitor, T> work) {
        RunSettings own = result.settings();
        RunSettings settings = new RunSettings(iterations, own.seed(), own.sampling(), own.threads());
        return calculator.calculate(RunNeeds.of(plan, settings).bytes(), monitor -> work.apply(compiled(), monitor));
    }

    /**
     * All values of an activity or a branch: as they were kept, or simulated for it, which gives the same.
     *
     * @throws IllegalArgumentException where there is none
     */
    public synchronized Output output(String id) {
        return kept(outputs, id, () -> kept.apply(id)
                .orElseGet(() -> calculate(
                        result.iterations(),
                        (ready, monitor) -> Outputs.of(ready, result.settings(), result.iterations(), id, monitor))));
    }

    /** A start or a finish, put in order once for all that is read of it. */
    synchronized Quantity<LocalDateTime> date(Asked asked) {
        return kept(dates, asked, () -> Quantities.date(this, asked));
    }

    /** A cost or a duration, likewise. */
    synchronized Quantity<Double> amount(Asked asked) {
        return kept(amounts, asked, () -> Quantities.amount(this, asked));
    }

    /**
     * The answer to a question that takes a while: worked out once, also where several ask at the same time; the last few stay.
     *
     * @param question equal for those that ask the same
     */
    @SuppressWarnings("unchecked")
    public <T> T once(Object question, Supplier<T> making) {
        Answer<T> answer = (Answer<T>) answers.computeIfAbsent(question, asked -> new Answer<>());
        return answer.get(making);
    }

    /** What was made before, or is made now; the last few stay. */
    private static <K, V> V kept(Map<K, V> known, K key, Supplier<V> making) {
        V value = known.get(key);
        if (value == null) {
            value = making.get();
            known.put(key, value);
        }
        return value;
    }

    /** The values of an activity, a branch or the project without any uncertainty; one of each. */
    public Output planned(String id) {
        RunSettings once = new RunSettings(1, 0, result.settings().sampling(), 1);
        return calculate(1, (ready, monitor) -> Outputs.of(ready.with(Variation.CERTAIN), once, 1, id, monitor));
    }
}
