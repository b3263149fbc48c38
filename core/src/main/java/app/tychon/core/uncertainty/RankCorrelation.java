package app.tychon.core.uncertainty;

import org.hipparchus.util.FastMath;

/**
 * Spearman's rank correlation r of two quantities joined by a Gaussian copula, and Pearson's correlation ρ of the normals
 * beneath: ρ = 2 sin(π r / 6) (Pearson 1907).
 */
public final class RankCorrelation {
    private RankCorrelation() {}

    /** The correlation of the normals that gives a rank correlation. */
    public static double toNormal(double rank) {
        return 2 * FastMath.sin(FastMath.PI * rank / 6);
    }

    /** The rank correlation that a correlation of the normals gives. */
    public static double ofNormal(double normal) {
        return FastMath.asin(FastMath.max(-1, FastMath.min(1, normal)) / 2) * 6 / FastMath.PI;
    }
}
