package app.tychon.core.uncertainty;

/**
 * A beta distribution on [a, b] with α = 1 + w(c − a)/(b − a) and β = 1 + w(b − c)/(b − a), for low a, likely c, high b
 * and weight w; mean (a + wc + b)/(w + 2). With w = 4 it is the PERT distribution of Malcolm, Roseboom, Clark and Fazar,
 * "Application of a technique for research and development program evaluation", Operations Research 7 (1959).
 */
public final class PertDistribution {
    private PertDistribution() {}

    /** @throws IllegalArgumentException unless low ≤ likely ≤ high, low &lt; high, all finite, and weight &gt; 0 */
    public static BetaDistribution of(double low, double likely, double high, double weight) {
        Require.that(
                low <= likely && likely <= high && low < high && Double.isFinite(high - low) && weight > 0,
                "PERT needs low <= likely <= high, low < high and a weight above 0, not %s, %s, %s, %s",
                low,
                likely,
                high,
                weight);
        double range = high - low;
        return BetaDistribution.of(
                1 + weight * (likely - low) / range, 1 + weight * (high - likely) / range, low, high);
    }
}
