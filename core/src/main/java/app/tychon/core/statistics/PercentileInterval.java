package app.tychon.core.statistics;

/**
 * A percentile with its 95 % sampling interval.
 *
 * @param level chance, 0 to 1, of being at or below the value
 */
public record PercentileInterval(double level, double value, double low, double high) {}
