package app.tychon.core.analysis;

import app.tychon.core.analysis.Effect.Moved;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;

/**
 * How far variations of a plan move a percentile of anything one may aim at. For the project's own date and cost, and the
 * finish of an activity, only what differs is worked out, some variations at a time; anything else is simulated for each.
 *
 * @param <K>   what the variation is known by
 * @param moved in the unit of {@link Aim#values}
 */
public record Moves<K>(K key, Moved moved) {
    /** Variations worked out together: each lot pays for the plan's own futures once. */
    private static final int LOT = 25;

    /**
     * @param variations in the order in which they are wanted
     * @param level      of the percentile, 0 to 1
     * @param monitor    is told of variations done; may ask to stop, then those done by then are the result
     * @param helpers    may work at differences too; they change no number
     * @param asTheyCome is told of all that are done, again and again, strongest first
     * @return strongest first
     */
    public static <K> List<Moves<K>> of(
            CompiledPlan plan,
            Aim aim,
            RunSettings settings,
            Map<K, Variation> variations,
            double level,
            RunMonitor monitor,
            Helpers helpers,
            Consumer<List<Moves<K>>> asTheyCome) {
        List<Moves<K>> done = new ArrayList<>();
        List<Map.Entry<K, Variation>> all = List.copyOf(variations.entrySet());
        Optional<CompiledPlan> outcome = aim.asOutcome(plan);
        int lot = outcome.isPresent() ? LOT : 1;
        try {
            Sections own =
                    outcome.isPresent() ? null : new Sections(aim.values(plan, settings, monitor.quiet()), level);
            for (int from = 0; from < all.size(); from += lot) {
                List<Map.Entry<K, Variation>> some = all.subList(from, Math.min(all.size(), from + lot));
                List<Moves<K>> moves = own == null
                        ? byDifference(outcome.get(), aim, settings, some, level, monitor.quiet(), helpers)
                        : some.stream()
                                .map(one -> new Moves<>(
                                        one.getKey(),
                                        own.moved(aim.values(plan.with(one.getValue()), settings, monitor.quiet()))))
                                .toList();
                if (monitor.stopRequested()) {
                    // They may rest on fewer futures than the others.
                    break;
                }
                done.addAll(moves);
                done.sort(Comparator.comparingDouble(
                        (Moves<K> one) -> -Math.abs(one.moved().change())));
                asTheyCome.accept(List.copyOf(done));
                monitor.progress(done.size(), all.size());
            }
        } catch (CancellationException stopped) {
            if (!monitor.stopRequested()) {
                throw stopped;
            }
        }
        return done;
    }

    private static <K> List<Moves<K>> byDifference(
            CompiledPlan plan,
            Aim aim,
            RunSettings settings,
            List<Map.Entry<K, Variation>> some,
            double level,
            RunMonitor monitor,
            Helpers helpers) {
        Map<K, Variation> asked = new LinkedHashMap<>();
        some.forEach(one -> asked.put(one.getKey(), one.getValue()));
        Differences<K> differences = Differences.of(plan, settings, asked, monitor, helpers, early -> {});
        Sections own = new Sections(aim.values(differences.own()), level);
        return differences.keys().stream()
                .map(key -> new Moves<>(key, own.moved(aim.values(differences.of(key)))))
                .toList();
    }
}
