package app.tychon.core.scenario;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Targets;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;

/**
 * What to fund: of responses, and of other options that cost money, the set that does most for each budget. Up to
 * {@value #MOST_FOR_ALL} options every set is tried; of more, those that adding and dropping one at a time lead to, and what a
 * better set could still bring at most is said.
 */
public final class BestSets {
    public static final int MOST_FOR_ALL = 12;
    /** Options in which sets differ that are worked out together, where every set is. */
    private static final int TOGETHER = 4;

    /** What is to come down. */
    public enum Goal {
        /** The project's duration, working minutes of its calendar. */
        FINISH,
        /** Total cost, what options cost included. */
        COST,
        /** The chance, 0 to 1, that target and budget are not both kept. */
        BOTH
    }

    /**
     * Options beside responses: other versions of the plan, any of which can be had together.
     *
     * @param costs what each costs now, by id
     * @param with  the plan with some of them, ready to simulate
     */
    public record Others(Map<String, Double> costs, Compiling with) {
        /** Makes the plan with some options. */
        @FunctionalInterface
        public interface Compiling {
            CompiledPlan with(Set<String> options);
        }
    }

    /**
     * A set that was tried.
     *
     * @param options by id: risks whose responses are taken, and others
     * @param cost    what they cost
     * @param value   of the goal with them
     */
    public record Tried(Set<String> options, double cost, double value) {}

    /**
     * The best set that was found for its own cost and more, up to the next one's.
     *
     * @param change its value less that without any option
     * @param gap    how much lower at most the value of any set of no more cost can be, if no option makes any future
     *     worse; 0 where all sets were tried; NaN where that is not known
     */
    public record Best(Set<String> options, double cost, double value, double change, double gap) {}

    /**
     * What was found.
     *
     * @param best     from the cheapest up, each better than all cheaper ones; the first is none at all
     * @param tried    every set that was tried, in no order
     * @param expected how many sets there are to try, or about how many will be
     * @param complete whether every set there is was tried
     */
    public record Found(List<Best> best, List<Tried> tried, int expected, boolean complete) {}

    private final Trials trials;
    private final RunMonitor monitor;
    private final Consumer<Found> asTheyCome;
    private final int expected;

    private BestSets(
            CompiledPlan plan,
            Others others,
            RunSettings settings,
            Goal goal,
            double level,
            RunMonitor monitor,
            Helpers helpers,
            Consumer<Found> asTheyCome) {
        this.monitor = monitor;
        this.asTheyCome = asTheyCome;
        trials = new Trials(plan, others, settings, goal, level, monitor, helpers, this::tell);
        expected = sets(trials.costs().size());
    }

    /** Responses that can be taken: of live risks, and not decided on. What each costs, by id of the risk. */
    public static Map<String, Double> responses(Plan plan) {
        Map<String, Double> responses = new LinkedHashMap<>();
        plan.risks().stream()
                .filter(risk -> risk.isLive() && risk.response().isPresent() && !risk.isAnswered())
                .sorted(Comparator.comparing(Risk::id))
                .forEach(risk -> responses.put(risk.id(), risk.response().get().cost()));
        return responses;
    }

    /**
     * @param others     options beside the responses of the plan
     * @param level      of the percentile, 0 to 1
     * @param monitor    may ask to stop, then the best of those tried are the result
     * @param helpers    may work at it too; they change no number
     * @param asTheyCome is told of what is found so far, again and again
     * @throws CancellationException when stopped before anything was tried
     * @throws IllegalArgumentException where both are to be kept and there is no target or no budget
     */
    public static Found of(
            CompiledPlan plan,
            Others others,
            RunSettings settings,
            Goal goal,
            double level,
            RunMonitor monitor,
            Helpers helpers,
            Consumer<Found> asTheyCome) {
        Targets targets = plan.network().plan().project().targets();
        if (goal == Goal.BOTH && (targets.finish().isEmpty() || targets.cost().isEmpty())) {
            throw new IllegalArgumentException(
                    "a chance that both are kept needs a target date and a budget; the settings of the plan have them");
        }
        return new BestSets(plan, others, settings, goal, level, monitor, helpers, asTheyCome).search();
    }

    /** How many sets there are to try of so many options, or about how many will be. */
    public static int sets(int options) {
        return options <= MOST_FOR_ALL ? 1 << options : 1 + options * (options + 2);
    }

    private Found search() {
        Map<String, Double> costs = trials.costs();
        trials.tryAll(List.of(Set.of()), Set.of());
        try {
            if (costs.size() <= MOST_FOR_ALL) {
                tryEvery(List.copyOf(costs.keySet()));
            } else {
                trials.tryAll(costs.values().stream().map(trials::affordable).toList(), Set.of());
                add(new TreeSet<>());
                drop(new TreeSet<>(costs.keySet()));
            }
        } catch (CancellationException e) {
            return found();
        }
        return found();
    }

    private void tell() {
        monitor.progress(trials.count(), Math.max(expected, trials.count()));
        asTheyCome.accept(found());
    }

    private Found found() {
        int options = trials.costs().size();
        boolean complete = options <= MOST_FOR_ALL && trials.count() == 1 << options;
        return new Found(trials.frontier(complete), trials.all(), Math.max(expected, trials.count()), complete);
    }

    /** Every set, those together that differ in a few options alone. */
    private void tryEvery(List<String> all) {
        int few = Math.min(TOGETHER, all.size());
        List<Set<String>> some = subsets(all.subList(0, few));
        for (Set<String> rest : subsets(all.subList(few, all.size()))) {
            trials.tryAll(
                    some.stream()
                            .map(set -> {
                                Set<String> both = new TreeSet<>(set);
                                both.addAll(rest);
                                return both;
                            })
                            .toList(),
                    rest);
        }
    }

    private static List<Set<String>> subsets(List<String> all) {
        List<Set<String>> subsets = new ArrayList<>();
        for (int mask = 0; mask < 1 << all.size(); mask++) {
            Set<String> subset = new TreeSet<>();
            for (int i = 0; i < all.size(); i++) {
                if ((mask >> i & 1) == 1) {
                    subset.add(all.get(i));
                }
            }
            subsets.add(subset);
        }
        return subsets;
    }

    /** Adds, again and again, the option that brings most for its cost. */
    private void add(Set<String> taken) {
        Map<String, Double> costs = trials.costs();
        while (taken.size() < costs.size()) {
            Map<String, Set<String>> next = new LinkedHashMap<>();
            costs.keySet().stream()
                    .filter(option -> !taken.contains(option))
                    .forEach(option -> next.put(option, with(taken, option)));
            trials.tryAll(next.values(), taken);
            double now = trials.value(taken);
            taken.add(next.keySet().stream()
                    .max(Comparator.comparingDouble(
                            option -> (now - trials.value(next.get(option))) / Math.max(1, costs.get(option))))
                    .orElseThrow());
        }
    }

    /** Drops, again and again, the option that is missed least for its cost. */
    private void drop(Set<String> taken) {
        trials.tryAll(List.of(Set.copyOf(taken)), taken);
        while (!taken.isEmpty()) {
            Map<String, Set<String>> next = new LinkedHashMap<>();
            taken.forEach(option -> next.put(option, without(taken, option)));
            trials.tryAll(next.values(), taken);
            double now = trials.value(taken);
            taken.remove(next.keySet().stream()
                    .min(Comparator.comparingDouble(option -> (trials.value(next.get(option)) - now)
                            / Math.max(1, trials.costs().get(option))))
                    .orElseThrow());
        }
    }

    private static Set<String> with(Set<String> taken, String option) {
        Set<String> more = new TreeSet<>(taken);
        more.add(option);
        return more;
    }

    private static Set<String> without(Set<String> taken, String option) {
        Set<String> less = new TreeSet<>(taken);
        less.remove(option);
        return less;
    }
}
