package app.tychon.core.analysis;

import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * What a variation of a plan does to a percentile, exactly: the percentile with it less that without, with the same random
 * numbers. A risk switched off, a response, an input held at its planned value, work cut short.
 *
 * @param <K>        what the variation is known by
 * @param iterations futures it rests on
 * @param differing  share of them, 0 to 1, in which it makes a difference at all, but for the cost of actions
 * @param duration   working minutes of the project calendar
 * @param cost       money
 */
public record Effect<K>(K key, int iterations, double differing, Moved duration, Moved cost) {

    /** Variations that are held at once; of more, the plan's own futures are simulated once more for each so many. */
    public static final int AT_ONCE = 400;

    /**
     * How a percentile moves.
     *
     * @param value  the percentile with the variation
     * @param change that, less the percentile without
     * @param error  half-width of the 95 % interval of the change, from {@link Sections}
     */
    public record Moved(double value, double change, double error) {}

    /**
     * Works out many variations, as many as memory has room for at once.
     *
     * @param variations in whose order they are worked out where they are many
     * @param level      of the percentile, 0 to 1
     * @param monitor    may ask to stop; then the effects over the futures done by then are the result, where all variations
     *     were at work at once
     * @param helpers    may work at it too; they change no number
     * @param asTheyCome is told, from the threads that work, of effects over the futures done so far, again and again
     * @return strongest first: by what they do to the duration, then to cost
     * @throws java.util.concurrent.CancellationException when stopped before anything was done, or interrupted
     */
    public static <K> List<Effect<K>> of(
            CompiledPlan plan,
            RunSettings settings,
            Map<K, Variation> variations,
            double level,
            RunMonitor monitor,
            Helpers helpers,
            Consumer<List<Effect<K>>> asTheyCome) {
        List<K> keys = List.copyOf(variations.keySet());
        List<Effect<K>> known = List.of();
        for (int first = 0; first < keys.size(); first += AT_ONCE) {
            Map<K, Variation> some = new LinkedHashMap<>();
            keys.subList(first, Math.min(first + AT_ONCE, keys.size()))
                    .forEach(key -> some.put(key, variations.get(key)));
            List<Effect<K>> before = known;
            Differences<K> differences = Differences.of(
                    plan,
                    settings,
                    some,
                    monitor,
                    helpers,
                    early -> asTheyCome.accept(strongestFirst(before, of(early, level))));
            known = strongestFirst(before, of(differences, level));
        }
        return known;
    }

    private static <K> List<Effect<K>> strongestFirst(List<Effect<K>> some, List<Effect<K>> more) {
        return Stream.concat(some.stream(), more.stream())
                .sorted(Comparator.<Effect<K>>comparingDouble(
                                effect -> -Math.abs(effect.duration().change()))
                        .thenComparingDouble(effect -> -Math.abs(effect.cost().change())))
                .toList();
    }

    private static <K> List<Effect<K>> of(Differences<K> differences, double level) {
        Outcomes own = differences.own();
        Sections duration = new Sections(own.duration(), level);
        Sections cost = new Sections(own.cost(), level);
        return differences.keys().stream()
                .map(key -> {
                    Outcomes its = differences.of(key);
                    return new Effect<>(
                            key,
                            differences.iterations(),
                            differences.differing(key),
                            duration.moved(its.duration()),
                            cost.moved(its.cost()));
                })
                .toList();
    }
}
