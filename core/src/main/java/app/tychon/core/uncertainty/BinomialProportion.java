package app.tychon.core.uncertainty;

/**
 * What a count allows to be said of the share behind it: exact bounds of a binomial proportion (Clopper, Pearson, "The use of
 * confidence or fiducial limits illustrated in the case of the binomial", Biometrika 26, 1934).
 */
public final class BinomialProportion {
    private static final double CERTAINTY = 0.95;

    private BinomialProportion() {}

    /** Between which shares, 0 to 1, the true one lies with 95 %. */
    public record Interval(double low, double high) {}

    /** @param of how many were so, of {@code count} */
    public static Interval interval(int of, int count) {
        double tail = (1 - CERTAINTY) / 2;
        return new Interval(
                of == 0 ? 0 : BetaDistribution.of(of, count - of + 1.0, 0, 1).inverse(tail), upper(of, count, tail));
    }

    /** The share below which the true one lies with 95 %; of none it is about three in {@code count}. */
    public static double upper(int of, int count) {
        return upper(of, count, 1 - CERTAINTY);
    }

    private static double upper(int of, int count, double tail) {
        return of == count ? 1 : BetaDistribution.of(of + 1.0, count - of, 0, 1).inverse(1 - tail);
    }
}
