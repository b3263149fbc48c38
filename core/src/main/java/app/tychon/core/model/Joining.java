package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Links in place of activities that were taken out: from what came before them to what came after them. */
public final class Joining {
    private final Map<String, List<Link>> from = new HashMap<>();
    private final Set<String> left;
    private final Map<List<String>, Link> joined = new LinkedHashMap<>();

    private Joining(Plan before, Set<String> left) {
        this.left = left;
        before.links().forEach(link -> from.computeIfAbsent(link.from(), id -> new ArrayList<>())
                .add(link));
    }

    /**
     * The plan that is left with such links: each goes from the side of its first link to the side of its last, and its lag
     * is that of both where they count in one unit, else none. Pairs that are linked already stay as they are.
     *
     * @param before the plan with the activities
     * @param after the same without them
     */
    public static Plan across(Plan before, Plan after) {
        Joining joining = new Joining(
                before, after.activities().stream().map(Activity::id).collect(Collectors.toSet()));
        Set<List<String>> linked =
                after.links().stream().map(l -> List.of(l.from(), l.to())).collect(Collectors.toSet());
        before.links().stream()
                .filter(link -> joining.left.contains(link.from()) && !joining.left.contains(link.to()))
                .forEach(link -> joining.follow(link, link.to(), link.lag(), new HashSet<>()));
        List<Link> links = new ArrayList<>(after.links());
        joining.joined.values().stream()
                .filter(link -> !linked.contains(List.of(link.from(), link.to())))
                .forEach(links::add);
        return after.withLinks(links);
    }

    private void follow(Link first, String gone, WorkDuration lag, Set<String> met) {
        if (!met.add(gone)) {
            return;
        }
        for (Link next : from.getOrDefault(gone, List.of())) {
            WorkDuration sum = sum(lag, next.lag());
            if (left.contains(next.to())) {
                LinkType type =
                        LinkType.of(first.type().fromFinish(), next.type().toStart());
                joined.putIfAbsent(List.of(first.from(), next.to()), new Link(first.from(), next.to(), type, sum));
            } else {
                follow(first, next.to(), sum, met);
            }
        }
    }

    private static WorkDuration sum(WorkDuration one, WorkDuration other) {
        if (one.amount() == 0 || other.amount() == 0) {
            return one.amount() == 0 ? other : one;
        }
        return one.unit() == other.unit()
                ? new WorkDuration(one.amount() + other.amount(), one.unit())
                : WorkDuration.ZERO;
    }
}
