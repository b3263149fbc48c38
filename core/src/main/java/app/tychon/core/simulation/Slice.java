package app.tychon.core.simulation;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.Categories;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.Place;
import app.tychon.core.simulation.risk.RiskTargets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Which of the money is looked at: all of it, what stands on a branch and beneath it or on an activity, or a category of the
 * cost breakdown with what lies within it. What responses cost belongs to the whole alone; what a risk adds to a cost line, to
 * the line's category.
 */
public final class Slice {
    private final boolean isWhole;
    private final Predicate<Place> places;
    private final Predicate<String> lines;

    private Slice(boolean isWhole, Predicate<Place> places, Predicate<String> lines) {
        this.isWhole = isWhole;
        this.places = places;
        this.lines = lines;
    }

    public static Slice whole() {
        return new Slice(true, place -> true, id -> true);
    }

    /**
     * What stands on an activity, or on a branch or anything beneath it.
     *
     * @throws IllegalArgumentException where the plan has no such row
     */
    public static Slice on(Network network, String on) {
        if (on.equals(Plan.PROJECT)) {
            return whole();
        }
        if (network.isActivity(on)) {
            return new Slice(false, place -> place.on().equals(on), id -> true);
        }
        if (!network.branches().isBranch(on)) {
            throw new IllegalArgumentException("there is no activity or WBS branch \"" + on + "\"");
        }
        Set<String> within = new HashSet<>(Set.of(on));
        network.plan().wbs().stream()
                .map(node -> node.id())
                .filter(branch -> network.branches().chain(branch).contains(on))
                .forEach(within::add);
        Arrays.stream(network.branches().beneath(on))
                .forEach(position -> within.add(network.activity(position).id()));
        return new Slice(false, place -> within.contains(place.on()), id -> true);
    }

    /** What is of a category, or of one within it. */
    public static Slice of(Plan plan, String category) {
        Map<String, String> categories = categories(plan);
        return new Slice(
                false,
                place -> true,
                id -> categories.containsKey(id) && Categories.isWithin(categories.get(id), category));
    }

    /** What is of no category: lines and resources without one, and what risks add to rows themselves. */
    public static Slice ofNoCategory(Plan plan) {
        Map<String, String> categories = categories(plan);
        return new Slice(
                false, place -> true, id -> categories.getOrDefault(id, "").isEmpty());
    }

    /** The category of every cost line, by id, and of every assignment, by {@link RiskTargets#id}. */
    public static Map<String, String> categories(Plan plan) {
        Map<String, String> categories = new HashMap<>();
        for (CostLine line : plan.costs()) {
            categories.put(line.id(), line.category());
        }
        Map<String, String> resources = new HashMap<>();
        for (Resource resource : plan.resources()) {
            resources.put(resource.id(), resource.category());
        }
        for (Assignment one : plan.assignments()) {
            categories.put(RiskTargets.id(one), resources.get(one.resource()));
        }
        return categories;
    }

    public boolean holds(CostItem item) {
        return places.test(item.place()) && lines.test(item.id());
    }

    public boolean holds(AddedCost one) {
        return places.test(one.place()) && lines.test(one.target());
    }

    /** Whether it is all of the money, responses included. */
    public boolean isWhole() {
        return isWhole;
    }
}
