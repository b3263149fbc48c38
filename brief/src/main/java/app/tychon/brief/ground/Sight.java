package app.tychon.brief.ground;

import app.tychon.core.statistics.Sample;
import java.util.Optional;

/**
 * A date or an amount in all futures.
 *
 * @param plan   without uncertainty
 * @param target what was promised
 */
public record Sight(Sample sample, double plan, Optional<Double> target) {
    /** The value that is kept with a chance. */
    public double sure(double level) {
        return sample.percentile(level);
    }

    /** In how many futures a value is kept. */
    public long keeping(double value) {
        return Math.round(sample.chance(value) * sample.size());
    }
}
