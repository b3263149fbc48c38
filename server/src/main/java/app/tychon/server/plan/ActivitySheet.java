package app.tychon.server.plan;

import app.tychon.core.model.Link;
import app.tychon.core.schedule.Scheduler;
import app.tychon.server.problems.NotFoundException;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What the plan's grid does not show of an activity.
 *
 * @param costs cost lines and resources that stand on it, in words
 */
record ActivitySheet(List<Neighbour> predecessors, List<Neighbour> successors, List<String> costs) {

    /**
     * An activity at the other end of a link.
     *
     * @param drives whether the link holds its successor where it stands
     */
    record Neighbour(String id, String name, String type, String lag, boolean drives) {}

    static ActivitySheet of(LoadedPlan loaded, String id) {
        if (loaded.plan().activities().stream().noneMatch(a -> a.id().equals(id))) {
            throw new NotFoundException("There is no activity \"" + id + "\" in this plan.");
        }
        Set<Link> driving = Scheduler.driving(loaded.network());
        List<Link> links = loaded.plan().links();
        return new ActivitySheet(
                links.stream()
                        .filter(link -> link.to().equals(id))
                        .map(link -> neighbour(loaded, link, link.from(), driving))
                        .toList(),
                links.stream()
                        .filter(link -> link.from().equals(id))
                        .map(link -> neighbour(loaded, link, link.to(), driving))
                        .toList(),
                costs(loaded, id));
    }

    private static List<String> costs(LoadedPlan loaded, String id) {
        return Stream.concat(
                        loaded.plan().costs().stream()
                                .filter(line -> line.on().equals(id))
                                .map(line -> line.id() + " " + line.name()),
                        loaded.plan().assignments().stream()
                                .filter(a -> a.activity().equals(id))
                                .flatMap(a -> loaded.plan().resources().stream()
                                        .filter(r -> r.id().equals(a.resource()))
                                        .map(r -> r.name())))
                .toList();
    }

    private static Neighbour neighbour(LoadedPlan loaded, Link link, String other, Set<Link> driving) {
        return new Neighbour(
                other,
                loaded.network().activity(loaded.network().position(other)).name(),
                link.type().name(),
                link.lag().toString(),
                driving.contains(link));
    }
}
