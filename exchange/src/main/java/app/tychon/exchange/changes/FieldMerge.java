package app.tychon.exchange.changes;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A change of an object done on the object as it is now, which others may have changed in other fields. */
final class FieldMerge {
    private FieldMerge() {}

    /**
     * The object with each field that the change touched as it is after the change, and every other as it is now. Of lists of
     * objects, such as the links into an activity, each element counts by itself.
     *
     * @return nothing where a field that the change touched is no longer as the change found it
     */
    static Optional<ObjectNode> of(ObjectNode before, ObjectNode after, ObjectNode now) {
        ObjectNode merged = now.deepCopy();
        Set<String> names = new LinkedHashSet<>();
        before.fieldNames().forEachRemaining(names::add);
        after.fieldNames().forEachRemaining(names::add);
        for (String name : names) {
            JsonNode old = before.get(name);
            JsonNode wanted = after.get(name);
            if (same(old, wanted) || same(now.get(name), wanted)) {
                continue;
            }
            if (same(old, now.get(name))) {
                put(merged, name, wanted);
            } else if (areLists(old, wanted, now.get(name))) {
                Optional<ArrayNode> list = list((ArrayNode) old, (ArrayNode) wanted, (ArrayNode) now.get(name));
                if (list.isEmpty()) {
                    return Optional.empty();
                }
                merged.set(name, list.get());
            } else {
                return Optional.empty();
            }
        }
        return Optional.of(merged);
    }

    /** By what is written: the same number may be kept as whole or not. */
    static boolean same(JsonNode one, JsonNode other) {
        return one == null || other == null ? one == other : one.toString().equals(other.toString());
    }

    static void put(ObjectNode node, String name, JsonNode value) {
        if (value == null) {
            node.remove(name);
        } else {
            node.set(name, value);
        }
    }

    private static boolean areLists(JsonNode... nodes) {
        for (JsonNode node : nodes) {
            if (!(node instanceof ArrayNode list)
                    || (!list.isEmpty() && !list.get(0).isObject())) {
                return false;
            }
        }
        return true;
    }

    /** Without what the change took away, which must be there, and with what it brought. */
    private static Optional<ArrayNode> list(ArrayNode old, ArrayNode wanted, ArrayNode now) {
        List<JsonNode> left = elements(now);
        for (JsonNode gone : elements(old)) {
            if (!holds(elements(wanted), gone) && !left.removeIf(one -> same(one, gone))) {
                return Optional.empty();
            }
        }
        elements(wanted).stream()
                .filter(one -> !holds(elements(old), one) && !holds(left, one))
                .forEach(left::add);
        ArrayNode merged = now.arrayNode();
        merged.addAll(left);
        return Optional.of(merged);
    }

    private static boolean holds(List<JsonNode> all, JsonNode one) {
        return all.stream().anyMatch(other -> same(other, one));
    }

    private static List<JsonNode> elements(ArrayNode list) {
        List<JsonNode> elements = new ArrayList<>();
        list.forEach(elements::add);
        return elements;
    }
}
