package app.tychon.core.scenario;

import app.tychon.core.analysis.JointSample;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Targets;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
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
    /** Sets that are worked out together: more would be faster, and the first answer later. */
    private static final int LOT = 64;
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

    /** What a set came to. */
    private record Value(double value, double free) {}

    private final CompiledPlan plan;
    private final Others others;
    private final RunSettings settings;
    private final Goal goal;
    private final double level;
    private final RunMonitor monitor;
    private final Consumer<Found> asTheyCome;
    private final Map<String, Double> costs = new LinkedHashMap<>();
    private final Map<Set<String>, Value> tried = new HashMap<>();
    private final Map<Set<String>, CompiledPlan> plans = new HashMap<>();
    private int expected;

    private BestSets(
            CompiledPlan plan,
            Others others,
            RunSettings settings,
            Goal goal,
            double level,
            RunMonitor monitor,
            Consumer<Found> asTheyCome) {
        this.plan = plan;
        this.others = others;
        this.settings = settings;
        this.goal = goal;
        this.level = level;
        this.monitor = monitor;
        this.asTheyCome = asTheyCome;
        costs.putAll(responses(plan.network().plan()));
        others.costs().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(other -> costs.put(other.getKey(), other.getValue()));
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
            Consumer<Found> asTheyCome) {
        Targets targets = plan.network().plan().project().targets();
        if (goal == Goal.BOTH && (targets.finish().isEmpty() || targets.cost().isEmpty())) {
            throw new IllegalArgumentException(
                    "a chance that both are kept needs a target date and a budget; the settings of the plan have them");
        }
        return new BestSets(plan, others, settings, goal, level, monitor, asTheyCome).search();
    }

    /** How many sets there are to try of so many options, or about how many will be. */
    public static int sets(int options) {
        return options <= MOST_FOR_ALL ? 1 << options : 1 + options * (options + 2);
    }

    /** The same of responses alone. */
    public static List<Best> of(CompiledPlan plan, RunSettings settings, Goal goal, double level, RunMonitor monitor) {
        return of(plan, new Others(Map.of(), none -> plan), settings, goal, level, monitor, some -> {})
                .best();
    }

    private Found search() {
        List<String> all = List.copyOf(costs.keySet());
        expected = sets(all.size());
        tryAll(List.of(Set.of()), Set.of());
        try {
            if (all.size() <= MOST_FOR_ALL) {
                tryEvery(all);
            } else {
                tryAll(costs.values().stream().map(this::affordable).toList(), Set.of());
                add(new TreeSet<>());
                drop(new TreeSet<>(all));
            }
        } catch (CancellationException e) {
            return found();
        }
        return found();
    }

    private Found found() {
        boolean complete = costs.size() <= MOST_FOR_ALL && tried.size() == 1 << costs.size();
        List<Tried> all = new ArrayList<>();
        tried.forEach((set, value) -> all.add(new Tried(set, costOf(set), value.value())));
        return new Found(frontier(complete), all, Math.max(expected, tried.size()), complete);
    }

    /** Every set, those together that differ in a few options alone. */
    private void tryEvery(List<String> all) {
        int few = Math.min(TOGETHER, all.size());
        List<Set<String>> some = subsets(all.subList(0, few));
        for (Set<String> rest : subsets(all.subList(few, all.size()))) {
            tryAll(
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
        while (taken.size() < costs.size()) {
            Map<String, Set<String>> next = new LinkedHashMap<>();
            costs.keySet().stream()
                    .filter(option -> !taken.contains(option))
                    .forEach(option -> next.put(option, with(taken, option)));
            tryAll(next.values(), taken);
            double now = tried.get(taken).value();
            taken.add(next.keySet().stream()
                    .max(Comparator.comparingDouble(
                            option -> (now - tried.get(next.get(option)).value()) / Math.max(1, costs.get(option))))
                    .orElseThrow());
        }
    }

    /** Drops, again and again, the option that is missed least for its cost. */
    private void drop(Set<String> taken) {
        tryAll(List.of(Set.copyOf(taken)), taken);
        while (!taken.isEmpty()) {
            Map<String, Set<String>> next = new LinkedHashMap<>();
            taken.forEach(option -> next.put(option, without(taken, option)));
            tryAll(next.values(), taken);
            double now = tried.get(taken).value();
            taken.remove(next.keySet().stream()
                    .min(Comparator.comparingDouble(
                            option -> (tried.get(next.get(option)).value() - now) / Math.max(1, costs.get(option))))
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

    /** Every option that costs no more than a budget by itself; a set within the budget holds no other. */
    private Set<String> affordable(double budget) {
        Set<String> affordable = new TreeSet<>();
        costs.forEach((option, cost) -> {
            if (cost <= budget) {
                affordable.add(option);
            }
        });
        return affordable;
    }

    /** @param near a set from which they differ little: what does not differ is not worked out again */
    private void tryAll(Collection<? extends Set<String>> sets, Set<String> near) {
        List<Set<String>> open = new ArrayList<>(new LinkedHashSet<Set<String>>(sets));
        open.removeIf(tried::containsKey);
        Map<Set<String>, List<Set<String>>> byPlan = new LinkedHashMap<>();
        open.forEach(set ->
                byPlan.computeIfAbsent(others(set), some -> new ArrayList<>()).add(set));
        byPlan.forEach((some, own) -> tryOn(some, own, near));
    }

    private Set<String> others(Set<String> set) {
        Set<String> some = new TreeSet<>(set);
        some.retainAll(others.costs().keySet());
        return some;
    }

    /** Sets that have the same options beside responses, by difference from the plan with those. */
    private void tryOn(Set<String> some, List<Set<String>> sets, Set<String> near) {
        CompiledPlan own = plans.computeIfAbsent(
                some, options -> some.isEmpty() ? plan : others.with().with(options));
        Variation none = own.variation().withRisks(RiskSetting.CURRENT);
        CompiledPlan base = own.with(answered(none, near, some));
        for (int from = 0; from < sets.size(); from += LOT) {
            Map<Set<String>, Variation> lot = new LinkedHashMap<>();
            for (Set<String> set : sets.subList(from, Math.min(sets.size(), from + LOT))) {
                lot.put(Set.copyOf(set), answered(none, set, some));
            }
            Differences<Set<String>> answers = Differences.of(base, settings, lot, monitor.quiet(), early -> {});
            if (answers.iterations() < settings.iterations()) {
                throw new CancellationException("stopped before these sets were worked out in full");
            }
            lot.keySet().forEach(set -> tried.put(set, value(answers.of(set), costOf(set))));
            monitor.progress(tried.size(), Math.max(expected, tried.size()));
            asTheyCome.accept(found());
        }
    }

    private static Variation answered(Variation none, Set<String> set, Set<String> others) {
        Variation variation = none;
        for (String option : set) {
            if (!others.contains(option)) {
                variation = variation.withRisk(option, RiskSetting.AFTER_RESPONSE);
            }
        }
        return variation;
    }

    private Value value(Outcomes outcomes, double spent) {
        return switch (goal) {
            case FINISH -> {
                double duration = Sample.of(outcomes.duration()).percentile(level);
                yield new Value(duration, duration);
            }
            case COST -> {
                double cost = Sample.of(outcomes.cost()).percentile(level);
                yield new Value(cost, cost - spent);
            }
            case BOTH -> new Value(missed(outcomes, 0), missed(outcomes, spent));
        };
    }

    /** How often target and budget are not both kept, were so much less spent. */
    private double missed(Outcomes outcomes, double less) {
        Targets targets = plan.network().plan().project().targets();
        double date = Instants.of(targets.finish().orElseThrow());
        double budget = targets.cost().orElseThrow() + less;
        return 1 - JointSample.of(outcomes.finish(), outcomes.cost()).chance(date, budget);
    }

    private double costOf(Set<String> set) {
        return set.stream().sorted().mapToDouble(costs::get).sum();
    }

    private List<Best> frontier(boolean complete) {
        List<Set<String>> sets = new ArrayList<>(tried.keySet());
        sets.sort(Comparator.comparingDouble(this::costOf)
                .thenComparingDouble(set -> tried.get(set).value())
                .thenComparingInt(Set::size)
                .thenComparing(set -> new TreeSet<>(set).toString()));
        double none = tried.get(Set.of()).value();
        double best = Double.POSITIVE_INFINITY;
        List<Best> frontier = new ArrayList<>();
        for (Set<String> set : sets) {
            double value = tried.get(set).value();
            if (value < best) {
                best = value;
                double cost = costOf(set);
                frontier.add(new Best(set, cost, value, value - none, complete ? 0 : value - bound(cost)));
            }
        }
        return frontier;
    }

    /** No set of no more cost comes below this: all it could hold at once, as if free. */
    private double bound(double budget) {
        Value together = tried.get(affordable(budget));
        return together == null ? Double.NaN : together.free();
    }
}
