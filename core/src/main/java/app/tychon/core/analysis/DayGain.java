package app.tychon.core.analysis;

import app.tychon.core.model.Activity;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.Shortening;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;

/** What shortening an activity is worth: how far a percentile moves when its work takes a day, or a tenth, less. */
public final class DayGain {
    /** Activities worked out together. */
    private static final int LOT = 64;

    /** By how much each activity is shortened. */
    public enum Cut {
        /** A working day of its own calendar. */
        DAY,
        /** A tenth of what each future makes of it. */
        TENTH
    }

    private DayGain() {}

    /** Whether there is work in an activity that can be shortened. */
    public static boolean canShorten(Network network, Activity activity) {
        return !activity.isMilestone()
                && !activity.isHammock()
                && !network.work(network.position(activity.id())).isFinished();
    }

    /**
     * Works out the gain of each activity, some at a time in the order given: most critical first, say.
     *
     * @param activities ids; those without work that can be shortened are left out
     * @param level      of the percentile, 0 to 1
     * @param monitor    is told of activities done; may ask to stop, then those done by then are the result
     * @param asTheyCome is told of the effects of some activities at a time
     */
    public static List<Effect<String>> of(
            CompiledPlan plan,
            RunSettings settings,
            List<String> activities,
            Cut cut,
            double level,
            RunMonitor monitor,
            Consumer<List<Effect<String>>> asTheyCome) {
        Network network = plan.network();
        List<Activity> open = activities.stream()
                .map(id -> network.activity(network.position(id)))
                .filter(activity -> canShorten(network, activity))
                .toList();
        List<Effect<String>> gains = new ArrayList<>();
        for (int from = 0; from < open.size(); from += LOT) {
            List<Activity> lot = open.subList(from, Math.min(open.size(), from + LOT));
            try {
                List<Effect<String>> some =
                        Effect.of(plan, settings, variations(plan, lot, cut), level, monitor.quiet(), early -> {});
                if (monitor.stopRequested()) {
                    // They may rest on fewer futures than the others.
                    return gains;
                }
                gains.addAll(some);
                asTheyCome.accept(some);
                monitor.progress(gains.size(), open.size());
            } catch (CancellationException e) {
                return gains;
            }
        }
        return gains;
    }

    /** What a cut takes off an activity. */
    public static Shortening shortening(Network network, Activity activity, Cut cut) {
        double day = activity.minutesPerDay(network.calendar(network.position(activity.id())));
        return cut == Cut.DAY ? new Shortening(1, day) : new Shortening(0.9, 0);
    }

    private static Map<String, Variation> variations(CompiledPlan plan, List<Activity> activities, Cut cut) {
        Network network = plan.network();
        Map<String, Variation> variations = new LinkedHashMap<>();
        for (Activity activity : activities) {
            Shortening shortening = shortening(network, activity, cut);
            variations.put(activity.id(), plan.variation().shortening(activity.id(), shortening));
        }
        return variations;
    }
}
