package app.tychon.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;

/** Writes numbers as a person would: 12, not 12.0. */
final class Numbers {
    private static final double LARGEST_WHOLE = 1e15;

    private Numbers() {}

    static void put(ObjectNode node, String field, double value) {
        if (value == Math.rint(value) && Math.abs(value) < LARGEST_WHOLE) {
            node.put(field, (long) value);
        } else {
            node.put(field, value);
        }
    }
}
