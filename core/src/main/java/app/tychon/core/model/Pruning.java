package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A plan without some of its branches, activities and cost lines. What hangs on them goes too, and is told.
 *
 * @param plan what is left
 * @param gone what went beside the rows themselves: sentences such as "cost line C1, Crane hire"
 */
public record Pruning(Plan plan, List<String> gone) {

    /** @param ids of activities, branches and cost lines; everything beneath a branch goes with it */
    public static Pruning of(Plan plan, Set<String> ids) {
        return new Pruner(plan, ids).prune();
    }

    private static final class Pruner {
        private final Plan plan;
        private final Set<String> dead;
        private final List<String> gone = new ArrayList<>();

        Pruner(Plan plan, Set<String> ids) {
            this.plan = plan;
            dead = new HashSet<>(ids);
            boolean more = true;
            while (more) {
                more = plan.wbs().stream()
                        .filter(node -> node.parent().filter(dead::contains).isPresent())
                        .map(node -> dead.add(node.id()))
                        .reduce(false, Boolean::logicalOr);
            }
            plan.activities().stream().filter(a -> dead.contains(a.wbs())).forEach(a -> dead.add(a.id()));
        }

        Pruning prune() {
            List<CostLine> costs = plan.costs().stream()
                    .filter(line -> !dead.contains(line.id()))
                    .filter(line -> stays(line.on(), "cost line " + line.id() + ", " + line.name()))
                    .map(line -> line.withInstalments(instalments(line)))
                    .toList();
            plan.costs().stream().filter(line -> dead.contains(line.on())).forEach(line -> dead.add(line.id()));
            Plan left = plan.edit()
                    .wbs(plan.wbs().stream()
                            .filter(node -> !dead.contains(node.id()))
                            .toList())
                    .activities(plan.activities().stream()
                            .filter(a -> !dead.contains(a.id()))
                            .toList())
                    .links(plan.links().stream()
                            .filter(link -> !dead.contains(link.from()) && !dead.contains(link.to()))
                            .toList())
                    .assignments(plan.assignments().stream()
                            .filter(a -> stays(
                                    a.activity(), "work of resource " + a.resource() + " on activity " + a.activity()))
                            .toList())
                    .costs(costs)
                    .correlations(plan.correlations().stream()
                            .map(this::correlation)
                            .flatMap(Optional::stream)
                            .toList())
                    .risks(plan.risks().stream().map(this::risk).toList())
                    .accepted(plan.accepted().stream()
                            .filter(a -> !dead.contains(a.on()))
                            .toList())
                    .evidence(plan.evidence().stream()
                            .map(e -> e.withOn(e.on().stream()
                                    .filter(id -> !dead.contains(id))
                                    .toList()))
                            .toList())
                    .done();
            return new Pruning(left, gone);
        }

        private boolean stays(String on, String what) {
            if (dead.contains(on)) {
                gone.add(what);
            }
            return !dead.contains(on);
        }

        /** What waited for rows that go falls due with the work of its own line. */
        private List<Instalment> instalments(CostLine line) {
            return line.instalments().stream()
                    .map(one -> {
                        if (!(one.due() instanceof Instalment.Reached due) || !dead.contains(due.on())) {
                            return one;
                        }
                        gone.add("the date of an instalment of cost line " + line.id() + ", which now falls due at the "
                                + due.end().name().toLowerCase(Locale.ROOT) + " of its own work");
                        return Instalment.at(one.share(), line.on(), due.end());
                    })
                    .toList();
        }

        /** Nothing is left to correlate where fewer than two remain. */
        private Optional<Correlation> correlation(Correlation group) {
            int[] kept = IntStream.range(0, group.members().size())
                    .filter(i -> !dead.contains(group.members().get(i)))
                    .toArray();
            if (kept.length == group.members().size()) {
                return Optional.of(group);
            }
            String name = "correlation " + group.id();
            if (kept.length < 2) {
                gone.add(name);
                return Optional.empty();
            }
            gone.add("a member of " + name);
            List<String> members =
                    IntStream.of(kept).mapToObj(group.members()::get).toList();
            List<List<Double>> matrix = group.matrix().isEmpty()
                    ? List.of()
                    : IntStream.range(0, kept.length)
                            .mapToObj(row -> IntStream.rangeClosed(0, row)
                                    .mapToObj(column -> group.asked(kept[row], kept[column]))
                                    .toList())
                            .toList();
            return Optional.of(new Correlation(group.id(), group.name(), members, group.coefficient(), matrix));
        }

        private Risk risk(Risk risk) {
            List<Impact> own = impacts(risk.impacts(), "an impact of risk " + risk.id());
            Optional<Response> response = risk.response()
                    .map(r -> r.withImpacts(impacts(r.impacts(), "an impact of the response to risk " + risk.id())));
            return risk.withImpacts(own).withResponse(response);
        }

        /** An impact goes where nothing is left for it to strike. */
        private List<Impact> impacts(List<Impact> impacts, String what) {
            List<Impact> left = new ArrayList<>();
            for (Impact impact : impacts) {
                List<String> on =
                        impact.on().stream().filter(id -> !dead.contains(id)).toList();
                if (on.size() < impact.on().size()) {
                    gone.add(on.isEmpty() ? what : "a target of " + what);
                }
                if (!on.isEmpty()) {
                    left.add(new Impact(on, impact.effect(), impact.draw(), impact.distribution()));
                }
            }
            return left;
        }
    }
}
