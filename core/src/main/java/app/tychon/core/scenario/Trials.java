package app.tychon.core.scenario;

import app.tychon.core.analysis.JointSample;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Targets;
import app.tychon.core.scenario.BestSets.Best;
import app.tychon.core.scenario.BestSets.Goal;
import app.tychon.core.scenario.BestSets.Others;
import app.tychon.core.scenario.BestSets.Tried;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
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

/** Sets of options that were tried, with what each came to. */
final class Trials {
    /** Sets that are worked out together: more would be faster, and the first answer later. */
    private static final int LOT = 64;

    /** What a set came to. */
    private record Value(double value, double free) {}

    private final CompiledPlan plan;
    private final Others others;
    private final RunSettings settings;
    private final Goal goal;
    private final double level;
    private final RunMonitor monitor;
    private final Helpers helpers;
    private final Runnable afterEachLot;
    private final Map<String, Double> costs = new LinkedHashMap<>();
    private final Map<Set<String>, Value> tried = new HashMap<>();
    private final Map<Set<String>, CompiledPlan> plans = new HashMap<>();

    Trials(
            CompiledPlan plan,
            Others others,
            RunSettings settings,
            Goal goal,
            double level,
            RunMonitor monitor,
            Helpers helpers,
            Runnable afterEachLot) {
        this.plan = plan;
        this.others = others;
        this.settings = settings;
        this.goal = goal;
        this.level = level;
        this.monitor = monitor;
        this.helpers = helpers;
        this.afterEachLot = afterEachLot;
        costs.putAll(BestSets.responses(plan.network().plan()));
        others.costs().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(other -> costs.put(other.getKey(), other.getValue()));
    }

    /** What each option costs, by id. */
    Map<String, Double> costs() {
        return costs;
    }

    int count() {
        return tried.size();
    }

    /** What a set that was tried came to. */
    double value(Set<String> set) {
        return tried.get(set).value();
    }

    List<Tried> all() {
        List<Tried> all = new ArrayList<>();
        tried.forEach((set, value) -> all.add(new Tried(set, costOf(set), value.value())));
        return all;
    }

    /** @param near a set from which they differ little: what does not differ is not worked out again */
    void tryAll(Collection<? extends Set<String>> sets, Set<String> near) {
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
            Differences<Set<String>> answers =
                    Differences.of(base, settings, lot, monitor.quiet(), helpers, early -> {});
            if (answers.iterations() < settings.iterations()) {
                throw new CancellationException("stopped before these sets were worked out in full");
            }
            lot.keySet().forEach(set -> tried.put(set, value(answers.of(set), costOf(set))));
            afterEachLot.run();
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

    /** Every option that costs no more than a budget by itself; a set within the budget holds no other. */
    Set<String> affordable(double budget) {
        Set<String> affordable = new TreeSet<>();
        costs.forEach((option, cost) -> {
            if (cost <= budget) {
                affordable.add(option);
            }
        });
        return affordable;
    }

    /** From the cheapest up, each better than all cheaper ones. */
    List<Best> frontier(boolean complete) {
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
