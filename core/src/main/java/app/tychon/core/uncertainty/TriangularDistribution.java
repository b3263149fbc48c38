package app.tychon.core.uncertainty;

/**
 * f(x) = 2(x − a) / ((b − a)(c − a)) for a ≤ x ≤ c and 2(b − x) / ((b − a)(b − c)) for c ≤ x ≤ b, with low a, likely c
 * and high b.
 */
public final class TriangularDistribution implements Distribution {
    private final double low;
    private final double likely;
    private final double high;
    private final double range;
    /** P(X ≤ likely). */
    private final double turn;

    private final double leftProduct;
    private final double rightProduct;

    private TriangularDistribution(double low, double likely, double high) {
        this.low = low;
        this.likely = likely;
        this.high = high;
        range = high - low;
        turn = (likely - low) / range;
        leftProduct = range * (likely - low);
        rightProduct = range * (high - likely);
    }

    /** @throws IllegalArgumentException unless low ≤ likely ≤ high and low &lt; high, all finite */
    public static TriangularDistribution of(double low, double likely, double high) {
        Require.that(
                low <= likely && likely <= high && low < high && Double.isFinite(high - low),
                "a triangle needs low <= likely <= high and low < high, not %s, %s, %s",
                low,
                likely,
                high);
        return new TriangularDistribution(low, likely, high);
    }

    @Override
    public double density(double x) {
        if (x < low || x > high) {
            return 0;
        }
        if (x < likely) {
            return 2 * (x - low) / (range * (likely - low));
        }
        return x == likely ? 2 / range : 2 * (high - x) / (range * (high - likely));
    }

    @Override
    public double cumulative(double x) {
        if (x <= low) {
            return 0;
        }
        if (x >= high) {
            return 1;
        }
        return x < likely
                ? (x - low) * (x - low) / (range * (likely - low))
                : 1 - (high - x) * (high - x) / (range * (high - likely));
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        return value(p);
    }

    /** A loop of its own, so that it is compiled for triangles alone: these are drawn more often than anything else. */
    @Override
    public void inverse(double[] chances, int count) {
        for (int k = 0; k < count; k++) {
            chances[k] = value(chances[k]);
        }
    }

    private double value(double p) {
        boolean left = p < turn;
        double distance = Math.sqrt(left ? p * leftProduct : (1 - p) * rightProduct);
        return left ? low + distance : high - distance;
    }

    @Override
    public double mean() {
        return (low + likely + high) / 3;
    }

    @Override
    public double standardDeviation() {
        double left = likely - low;
        return Math.sqrt((range * range - range * left + left * left) / 18);
    }

    @Override
    public double low() {
        return low;
    }

    @Override
    public double high() {
        return high;
    }
}
