package app.tychon.core.uncertainty;

/**
 * A distribution cut off at one or both ends, what is left taking all the chance: f(x) / (F(max) − F(min)). Mean and
 * standard deviation are integrated numerically over the quantiles (midpoints of {@value #STEPS} equal chances).
 */
public final class TruncatedDistribution implements Distribution {
    private static final int STEPS = 20_000;

    private final Distribution whole;
    private final double low;
    private final double high;
    private final double chanceBelow;
    private final double chanceLeft;
    private final double mean;
    private final double sd;

    private TruncatedDistribution(Distribution whole, double low, double high, double chanceBelow, double chanceLeft) {
        this.whole = whole;
        this.low = low;
        this.high = high;
        this.chanceBelow = chanceBelow;
        this.chanceLeft = chanceLeft;
        double sum = 0;
        double squares = 0;
        double middle = inverse(0.5);
        for (int i = 0; i < STEPS; i++) {
            double deviation = inverse((i + 0.5) / STEPS) - middle;
            sum += deviation;
            squares += deviation * deviation;
        }
        mean = middle + sum / STEPS;
        sd = Math.sqrt(Math.max(0, squares / STEPS - (sum / STEPS) * (sum / STEPS)));
    }

    /**
     * @param min lower cut; minus infinity for none
     * @param max upper cut; infinity for none
     * @throws IllegalArgumentException when no chance lies between the cuts
     */
    public static Distribution of(Distribution whole, double min, double max) {
        if (min <= whole.low() && max >= whole.high()) {
            return whole;
        }
        double below = min <= whole.low() ? 0 : whole.cumulative(Math.nextDown(min));
        double upTo = max >= whole.high() ? 1 : whole.cumulative(max);
        Require.that(min < max && upTo > below, "nothing is left between %s and %s", min, max);
        return new TruncatedDistribution(
                whole, Math.max(min, whole.low()), Math.min(max, whole.high()), below, upTo - below);
    }

    @Override
    public double density(double x) {
        return x < low || x > high ? 0 : whole.density(x) / chanceLeft;
    }

    @Override
    public double cumulative(double x) {
        if (x < low) {
            return 0;
        }
        return x >= high ? 1 : (whole.cumulative(x) - chanceBelow) / chanceLeft;
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        if (p == 0 || p == 1) {
            return p == 0 ? low : high;
        }
        double chance = Math.min(1, chanceBelow + p * chanceLeft);
        return Math.max(low, Math.min(high, whole.inverse(chance)));
    }

    @Override
    public boolean hasCostlyInverse() {
        return whole.hasCostlyInverse();
    }

    @Override
    public double mean() {
        return mean;
    }

    @Override
    public double standardDeviation() {
        return sd;
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
