package app.tychon.server.rows;

import app.tychon.core.model.WbsNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The outline numbers of branches: where they count 1, 1.1, 1.2 …, they are counted anew after every change of order. */
final class Outlining {
    private Outlining() {}

    /** Codes that somebody has chosen otherwise stay; so do all, where the plan did not count before. */
    static List<WbsNode> renumbered(List<WbsNode> nodes, List<WbsNode> before) {
        boolean sameShape = nodes.size() == before.size() && parents(nodes).equals(parents(before));
        Map<String, String> counted = counted(before);
        boolean counts = before.stream().allMatch(node -> node.code().equals(counted.get(node.id())));
        Map<String, String> numbers = counted(nodes);
        List<WbsNode> all = new ArrayList<>();
        for (WbsNode node : nodes) {
            boolean fresh = node.code().isEmpty();
            String code = !sameShape && (counts || fresh) ? numbers.getOrDefault(node.id(), node.code()) : node.code();
            all.add(node.withCode(code));
        }
        return all;
    }

    private static List<String> parents(List<WbsNode> nodes) {
        return nodes.stream().map(n -> n.id() + " in " + n.parent().orElse("")).toList();
    }

    private static Map<String, String> counted(List<WbsNode> nodes) {
        Map<String, List<WbsNode>> children = new HashMap<>();
        nodes.forEach(node -> children.computeIfAbsent(node.parent().orElse(""), p -> new ArrayList<>())
                .add(node));
        Map<String, String> numbers = new HashMap<>();
        count("", "", children, numbers);
        return numbers;
    }

    private static void count(
            String parent, String prefix, Map<String, List<WbsNode>> children, Map<String, String> numbers) {
        List<WbsNode> own = children.getOrDefault(parent, List.of());
        for (int i = 0; i < own.size(); i++) {
            String number = prefix + (i + 1);
            if (numbers.putIfAbsent(own.get(i).id(), number) == null) {
                count(own.get(i).id(), number + ".", children, numbers);
            }
        }
    }
}
