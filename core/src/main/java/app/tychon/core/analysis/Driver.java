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
 * @param swing mean of the output where the input is in its highest tenth, less that where it is in its lowest; of a
 *     risk's occurrence, mean where it struck less that where it did not; empty where the input never varied
 */
public record Driver(
        Input input,
        OptionalDouble spearman,
        OptionalDouble pearson,
        Optional<Regressed> regression,
        OptionalDouble swing) {

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
