package app.tychon.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.math.MathContext;

/** Writes numbers as a person would: 12, not 12.0. */
public final class Numbers {
    private static final double LARGEST_WHOLE = 1e15;

    private Numbers() {}

    /** To ten digits, so that what arithmetic leaves behind is not seen. */
    public static String text(double value) {
        return new BigDecimal(value)
                .round(new MathContext(10))
                .stripTrailingZeros()
                .toPlainString();
    }

    static void put(ObjectNode node, String field, double value) {
        if (value == Math.rint(value) && Math.abs(value) < LARGEST_WHOLE) {
            node.put(field, (long) value);
        } else {
            node.put(field, value);
        }
    }
}
