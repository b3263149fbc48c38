package app.tychon.core.simulation.difference;

import app.tychon.core.simulation.engine.Apart;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.tally.Samples;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.stream.Stream;

/**
 * Finish and cost of a plan and of variations of it, with the same random numbers: equal to the bit to simulating each
 * variation whole, at the price of what it changes. Each batch of the plan's own futures is simulated once; a variation is
 * then worked out in the futures in which it differs alone (its risk struck, its estimate fell otherwise), and only for
 * activities after what it touches, as long as they move.
 *
 * @param <K> what variations are known by
 */
public final class Differences<K> {
    /** A variation, how it differs, and where it came out otherwise. */
    private record Question(Varied varied, Patches patches) {}

    private final CompiledPlan plan;
    private final Map<K, Question> questions;
    private final Samples samples;
    private final int iterations;

    private Differences(CompiledPlan plan, Map<K, Question> questions, Samples samples, int iterations) {
        this.plan = plan;
        this.questions = questions;
        this.samples = samples;
        this.iterations = iterations;
    }

    /**
     * Answers many questions at once. Threads, seed and sampling are those of the settings; all iterations are worked off.
     *
     * @param variations of this plan, by what they are known by
     * @param asTheyCome is told, from the threads that work, of all answers over the first futures, whenever a quarter more
     *     are done
     * @param monitor    may ask to stop; then the futures done by then are the result
     * @throws java.util.concurrent.CancellationException when stopped before anything was done, or interrupted
     */
    public static <K> Differences<K> of(
            CompiledPlan plan,
            RunSettings settings,
            Map<K, Variation> variations,
            RunMonitor monitor,
            Consumer<Differences<K>> asTheyCome) {
        return of(plan, settings, variations, monitor, Helpers.NONE, asTheyCome);
    }

    /** The same with the help of others, who work at {@link app.tychon.core.simulation.RunBlocks}; they change no number. */
    public static <K> Differences<K> of(
            CompiledPlan plan,
            RunSettings settings,
            Map<K, Variation> variations,
            RunMonitor monitor,
            Helpers helpers,
            Consumer<Differences<K>> asTheyCome) {
        List<Variation> asked = List.copyOf(variations.values());
        Compared compared = Compared.of(plan, settings, asked);
        List<Patches> patches =
                Stream.generate(Patches::new).limit(asked.size()).toList();
        Map<K, Question> questions = new LinkedHashMap<>();
        variations
                .keySet()
                .forEach(key -> questions.put(
                        key, new Question(compared.varied.get(questions.size()), patches.get(questions.size()))));
        Samples samples = new Samples(settings.iterations());
        Teller teller =
                new Teller(monitor, inOrder -> asTheyCome.accept(new Differences<>(plan, questions, samples, inOrder)));
        Apart apart = new Apart() {
            @Override
            public byte[] work(Block block) {
                return new ComparedWorker(compared).work(block);
            }

            @Override
            public void keep(Block block, byte[] packed) {
                ComparedWorker.merge(block, packed, samples, patches);
            }
        };
        teller.batches = new Batches(Task.differences(plan, settings, asked), teller, apart, helpers);
        teller.batches.run(
                () -> {
                    Compared.Hand hand = compared.new Hand();
                    return (first, count) -> hand.batch(first, count, samples, 0, patches);
                },
                done -> false);
        return new Differences<>(plan, questions, samples, teller.batches.done());
    }

    /** Passes progress on, and tells whenever a quarter more futures are done from the first on without a gap. */
    private static final class Teller implements RunMonitor {
        private static final double STEP = 1.25;

        private final RunMonitor monitor;
        private final IntConsumer more;
        private Batches batches;
        private int told;

        Teller(RunMonitor monitor, IntConsumer more) {
            this.monitor = monitor;
            this.more = more;
        }

        @Override
        public synchronized void progress(int done, int total) {
            int inOrder = batches.doneInOrder();
            if (inOrder > STEP * told && inOrder < total) {
                told = inOrder;
                more.accept(inOrder);
            }
            monitor.progress(done, total);
        }

        @Override
        public void pause() {
            monitor.pause();
        }

        @Override
        public void rest() {
            monitor.rest();
        }

        @Override
        public boolean stopRequested() {
            return monitor.stopRequested();
        }
    }

    /** Futures that all answers rest on. */
    public int iterations() {
        return iterations;
    }

    public Set<K> keys() {
        return questions.keySet();
    }

    /** The plan's own. */
    public Outcomes own() {
        return samples.outcomes(plan, iterations);
    }

    /** Those of a variation. */
    public Outcomes of(K key) {
        Question question = questions.get(key);
        Samples its = samples.copy(iterations);
        question.patches().apply(its, iterations);
        double[] duration =
                Arrays.stream(its.finish).map(plan.network().frame()::work).toArray();
        CostSamples cost = its.cost(question.varied().plan, iterations);
        return new Outcomes(its.finish, duration, cost.totals(), cost.risk(), cost.planned() + cost.actions());
    }

    /** Share of the futures, 0 to 1, in which a variation comes out otherwise, but for the cost of actions. */
    public double differing(K key) {
        return (double) questions.get(key).patches().within(iterations) / iterations;
    }
}
