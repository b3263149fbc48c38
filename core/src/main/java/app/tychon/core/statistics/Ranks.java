package app.tychon.core.statistics;

/** Ranks and the correlations that go with them. */
public final class Ranks {
    private Ranks() {}

    /** Ranks from 1, equal values sharing the mean of theirs. */
    public static double[] of(double[] values) {
        return Ranking.of(values).ranks();
    }

    /** Pearson's product-moment correlation; zero where either does not vary. */
    public static double pearson(double[] x, double[] y) {
        return Centred.of(x).correlation(Centred.of(y)).orElse(0);
    }

    /** Spearman's rank correlation. */
    public static double spearman(double[] x, double[] y) {
        return pearson(of(x), of(y));
    }
}
