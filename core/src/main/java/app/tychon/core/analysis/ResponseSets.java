package app.tychon.core.analysis;

import app.tychon.core.model.Risk;
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

/**
 * Which responses to fund: for each budget the set of them that brings a percentile down most. Up to
 * {@value #MOST_FOR_ALL} responses every set is tried; of more, those that adding and dropping one at a time lead to, and
 * what a better set could still bring at most is said.
 */
public final class ResponseSets {
    public static final int MOST_FOR_ALL = 12;
    private static final int LOT = 256;

    /** What is to come down. */
    public enum Goal {
        /** The project's duration, working minutes of its calendar. */
        FINISH,
        /** Total cost, what actions cost included. */
        COST
    }

    /**
     * The best set that was found for its own cost and more, up to the next one's.
     *
     * @param risks  whose responses are taken, by id
     * @param cost   what their actions cost
     * @param value  the percentile with them
     * @param change that, less the percentile without any response
     * @param gap    how much lower at most the percentile of any set of no more cost can be, if no response makes any
     *     future worse; 0 where all sets were tried
     */
    public record Best(Set<String> risks, double cost, double value, double change, double gap) {}

    private final CompiledPlan plan;
    private final RunSettings settings;
    private final Goal goal;
    private final double level;
    private final RunMonitor monitor;
    private final Map<String, Double> costs = new LinkedHashMap<>();
    private final Map<Set<String>, Double> tried = new HashMap<>();
    private int expected;

    private ResponseSets(CompiledPlan plan, RunSettings settings, Goal goal, double level, RunMonitor monitor) {
        this.plan = plan.with(plan.variation().withRisks(RiskSetting.CURRENT));
        this.settings = settings;
        this.goal = goal;
        this.level = level;
        this.monitor = monitor;
        plan.network().plan().risks().stream()
                .filter(risk -> risk.isLive() && risk.response().isPresent() && !risk.isAnswered())
                .sorted(Comparator.comparing(Risk::id))
                .forEach(risk -> costs.put(risk.id(), risk.response().get().cost()));
    }

    /**
     * @param level   of the percentile, 0 to 1
     * @param monitor is told of sets tried; may ask to stop, then the best of those tried are the result
     * @return from the cheapest up, each better than all cheaper ones; the first is no response at all
     * @throws CancellationException when stopped before anything was tried
     */
    public static List<Best> of(CompiledPlan plan, RunSettings settings, Goal goal, double level, RunMonitor monitor) {
        return new ResponseSets(plan, settings, goal, level, monitor).search();
    }

    private List<Best> search() {
        List<String> all = List.copyOf(costs.keySet());
        boolean everything = all.size() <= MOST_FOR_ALL;
        expected = everything ? 1 << all.size() : 1 + all.size() * (all.size() + 2);
        tryAll(List.of(Set.of()));
        try {
            if (everything) {
                tryAll(subsets(all));
            } else {
                tryAll(costs.values().stream().map(this::affordable).toList());
                add(new TreeSet<>());
                drop(new TreeSet<>(all));
            }
            everything &= tried.size() == 1 << all.size();
        } catch (CancellationException e) {
            everything = false;
        }
        return frontier(everything);
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

    /** Adds, again and again, the response that brings most for its cost. */
    private void add(Set<String> taken) {
        while (taken.size() < costs.size()) {
            Map<String, Set<String>> next = new LinkedHashMap<>();
            costs.keySet().stream()
                    .filter(risk -> !taken.contains(risk))
                    .forEach(risk -> next.put(risk, with(taken, risk)));
            tryAll(next.values());
            double now = tried.get(taken);
            taken.add(next.keySet().stream()
                    .max(Comparator.comparingDouble(
                            risk -> (now - tried.get(next.get(risk))) / Math.max(1, costs.get(risk))))
                    .orElseThrow());
        }
    }

    /** Drops, again and again, the response that is missed least for its cost. */
    private void drop(Set<String> taken) {
        tryAll(List.of(Set.copyOf(taken)));
        while (!taken.isEmpty()) {
            Map<String, Set<String>> next = new LinkedHashMap<>();
            taken.forEach(risk -> next.put(risk, without(taken, risk)));
            tryAll(next.values());
            double now = tried.get(taken);
            taken.remove(next.keySet().stream()
                    .min(Comparator.comparingDouble(
                            risk -> (tried.get(next.get(risk)) - now) / Math.max(1, costs.get(risk))))
                    .orElseThrow());
        }
    }

    private static Set<String> with(Set<String> taken, String risk) {
        Set<String> more = new TreeSet<>(taken);
        more.add(risk);
        return more;
    }

    private static Set<String> without(Set<String> taken, String risk) {
        Set<String> less = new TreeSet<>(taken);
        less.remove(risk);
        return less;
    }

    /** Every response that costs no more than a budget by itself; a set within the budget holds no other. */
    private Set<String> affordable(double budget) {
        Set<String> affordable = new TreeSet<>();
        costs.forEach((risk, cost) -> {
            if (cost <= budget) {
                affordable.add(risk);
            }
        });
        return affordable;
    }

    private void tryAll(Collection<? extends Set<String>> sets) {
        List<Set<String>> open = new ArrayList<>(new LinkedHashSet<Set<String>>(sets));
        open.removeIf(tried::containsKey);
        for (int from = 0; from < open.size(); from += LOT) {
            Map<Set<String>, Variation> lot = new LinkedHashMap<>();
            for (Set<String> set : open.subList(from, Math.min(open.size(), from + LOT))) {
                Variation variation = plan.variation();
                for (String risk : set) {
                    variation = variation.withRisk(risk, RiskSetting.AFTER_RESPONSE);
                }
                lot.put(Set.copyOf(set), variation);
            }
            Differences<Set<String>> answers = Differences.of(plan, settings, lot, monitor.quiet(), early -> {});
            if (answers.iterations() < settings.iterations()) {
                throw new CancellationException("stopped before these sets were worked out in full");
            }
            lot.keySet().forEach(set -> tried.put(set, value(answers.of(set))));
            monitor.progress(tried.size(), Math.max(expected, tried.size()));
        }
    }

    private double value(Outcomes outcomes) {
        return Sample.of(goal == Goal.FINISH ? outcomes.duration() : outcomes.cost())
                .percentile(level);
    }

    private double costOf(Set<String> set) {
        return set.stream().sorted().mapToDouble(costs::get).sum();
    }

    private List<Best> frontier(boolean everything) {
        List<Set<String>> sets = new ArrayList<>(tried.keySet());
        sets.sort(Comparator.comparingDouble(this::costOf)
                .thenComparingDouble(tried::get)
                .thenComparingInt(Set::size)
                .thenComparing(set -> new TreeSet<>(set).toString()));
        double none = tried.get(Set.of());
        double best = Double.POSITIVE_INFINITY;
        List<Best> frontier = new ArrayList<>();
        for (Set<String> set : sets) {
            double value = tried.get(set);
            if (value < best) {
                best = value;
                double cost = costOf(set);
                frontier.add(new Best(set, cost, value, value - none, everything ? 0 : value - bound(cost)));
            }
        }
        return frontier;
    }

    /** No set of no more cost brings the percentile below this: all it could hold at once, as if free. */
    private double bound(double budget) {
        Set<String> affordable = affordable(budget);
        Double together = tried.get(affordable);
        if (together == null) {
            return Double.NaN;
        }
        return goal == Goal.FINISH ? together : together - costOf(affordable);
    }
}
