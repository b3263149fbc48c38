package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The branches of a plan while rows of a newer schedule come in: matched by name and place, made where they are new. */
final class UpdatedBranches {
    private final List<WbsNode> nodes;
    private final Map<String, WbsNode> newer = new HashMap<>();
    private final Set<String> taken = new HashSet<>();

    UpdatedBranches(Plan plan, Plan newer) {
        nodes = new ArrayList<>(plan.wbs());
        newer.wbs().forEach(node -> this.newer.put(node.id(), node));
        nodes.forEach(node -> taken.add(node.id()));
        plan.activities().forEach(a -> taken.add(a.id()));
        newer.activities().forEach(a -> taken.add(a.id()));
        plan.costs().forEach(line -> taken.add(line.id()));
    }

    List<WbsNode> all() {
        return List.copyOf(nodes);
    }

    /** The plan's branch for a branch of the newer schedule. */
    String of(String branch) {
        WbsNode wanted = newer.get(branch);
        Optional<String> parent = wanted.parent().map(this::of);
        return nodes.stream()
                .filter(node -> node.parent().equals(parent) && node.name().equals(wanted.name()))
                .map(WbsNode::id)
                .findFirst()
                .orElseGet(() -> made(wanted, parent));
    }

    private String made(WbsNode wanted, Optional<String> parent) {
        String id = wanted.id();
        while (!taken.add(id)) {
            id = id + "-";
        }
        long siblings =
                nodes.stream().filter(node -> node.parent().equals(parent)).count();
        String above = parent.flatMap(
                        p -> nodes.stream().filter(n -> n.id().equals(p)).findFirst())
                .map(node -> node.code() + ".")
                .orElse("");
        nodes.add(new WbsNode(id, parent, above + (siblings + 1), wanted.name(), Optional.empty()));
        return id;
    }
}
