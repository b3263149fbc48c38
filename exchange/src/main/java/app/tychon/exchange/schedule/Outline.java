package app.tychon.exchange.schedule;

import app.tychon.core.model.WbsNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A work breakdown built from what each row says of its branch: a path such as {@code Site/Access road}, or a code such
 * as {@code 1.2}, under which 1 stands above.
 */
final class Outline {
    private static final Pattern CODE = Pattern.compile("[A-Za-z]*\\d+(\\.\\d+)*");
    private static final String TOP = "All work";

    private final Set<String> taken;
    private final Map<String, WbsNode> nodes = new LinkedHashMap<>();
    private final Map<String, Integer> children = new LinkedHashMap<>();

    /** @param taken ids that branches may not have, since activities do */
    Outline(Set<String> taken) {
        this.taken = taken;
    }

    /** The id of the branch a row belongs to, made where it is new. */
    String branchOf(String text) {
        String path = text.isBlank() ? TOP : text.strip();
        boolean isCode = CODE.matcher(path).matches();
        List<String> parts = new ArrayList<>();
        for (String part : path.split(isCode ? "\\." : "\\s*/\\s*")) {
            if (!part.isBlank()) {
                parts.add(part.strip());
            }
        }
        Optional<String> parent = Optional.empty();
        String key = "";
        for (String part : parts) {
            key = key.isEmpty() ? part : key + (isCode ? "." : "/") + part;
            parent = Optional.of(node(key, isCode ? key : part, parent));
        }
        return parent.orElseGet(() -> branchOf(TOP));
    }

    /**
     * A branch that has a row of its own.
     *
     * @param parent the branch above; empty at the top
     */
    String branch(String id, Optional<String> parent, String name) {
        int number = children.merge(parent.orElse(""), 1, Integer::sum);
        String code = parent.map(p -> byId(p).code() + ".").orElse("") + number;
        nodes.put("row " + id, new WbsNode(id, parent, code, name, Optional.empty()));
        return id;
    }

    private String node(String key, String name, Optional<String> parent) {
        WbsNode known = nodes.get(key);
        if (known != null) {
            return known.id();
        }
        int number = children.merge(parent.orElse(""), 1, Integer::sum);
        String code = parent.map(p -> byId(p).code() + ".").orElse("") + number;
        String id = "W" + code;
        while (taken.contains(id)) {
            id = id + "-";
        }
        WbsNode node = new WbsNode(id, parent, code, name, Optional.empty());
        nodes.put(key, node);
        return node.id();
    }

    private WbsNode byId(String id) {
        return nodes.values().stream()
                .filter(n -> n.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    List<WbsNode> branches() {
        return List.copyOf(nodes.values());
    }
}
