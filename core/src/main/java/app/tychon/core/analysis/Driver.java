package app.tychon.core.analysis;

import app.tychon.core.simulation.settings.Input;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What one input does to one output. A measure for which the run holds no figure is empty, never zero.
 *
 * @param spearman rank correlation with the output; empty where either never varied
 * @param pearson product-moment correlation with the output; empty where either never varied
 * @param regression its part in the regression; empty where it was not examined
 * @param swing where the output lies at either end of the input; empty where the input never varied
 */
public record Driver(
        Input input,
        OptionalDouble spearman,
        OptionalDouble pearson,
        Optional<Regressed> regression,
        Optional<Swing> swing) {

    /**
     * Means of the output where the input is in its lowest and in its highest tenth, less its mean over all; of a risk's
     * occurrence, where it did not strike and where it did.
     *
     * @param error half-width of the 95 % interval of {@link #width}; NaN, not known, where a risk struck once or spared once
     */
    public record Swing(double low, double high, double error) {
        /** Positive where more of the input makes more of the output. */
        public double width() {
            return high - low;
        }
    }

    /**
     * An input's part in a regression.
     *
     * @param coefficient standardised
     * @param perUnit the same in units of the output per unit of the input
     * @param contribution share of the output's variance, 0 to 1: coefficient times correlation (Pratt 1987), so that the
     *     shares of all inputs and the unexplained rest add up to one
     */
    public record Regressed(double coefficient, double perUnit, double contribution) {}
}
