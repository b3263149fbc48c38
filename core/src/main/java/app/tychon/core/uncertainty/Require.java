package app.tychon.core.uncertainty;

import java.util.Locale;

/** Argument checks that quote the offending values. */
final class Require {
    private Require() {}

    static void that(boolean holds, String message, Object... values) {
        if (!holds) {
            throw new IllegalArgumentException(String.format(Locale.ROOT, message, values));
        }
    }

    static void probability(double p) {
        that(p >= 0 && p <= 1, "a probability lies between 0 and 1, not %s", p);
    }
}
