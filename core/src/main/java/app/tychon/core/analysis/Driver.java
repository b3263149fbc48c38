package app.tychon.core.analysis;

import app.tychon.core.simulation.Input;

/**
 * What one input does to one output.
 *
 * @param spearman rank correlation with the output
 * @param pearson product-moment correlation with the output
 * @param regression standardised regression coefficient; zero for inputs too weak to be in the regression
 * @param perUnit the same in units of the output per unit of the input
 * @param contribution share of the output's variance, 0 to 1: regression coefficient times correlation (Pratt 1987), so
 *     that the shares of all inputs and the unexplained rest add up to one
 * @param swing mean of the output where the input is in its highest tenth, less that where it is in its lowest; of a
 *     risk's occurrence, mean where it struck less that where it did not
 */
public record Driver(
        Input input,
        double spearman,
        double pearson,
        double regression,
        double perUnit,
        double contribution,
        double swing) {}
