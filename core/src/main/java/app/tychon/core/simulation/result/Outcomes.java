package app.tychon.core.simulation.result;

/**
 * Finish and cost alone of a run, for comparing many variations of a plan: nothing is kept of activities. Arrays hold a
 * value an iteration.
 *
 * @param finish instants in minutes
 * @param duration working minutes of the project calendar
 * @param cost money
 */
public record Outcomes(double[] finish, double[] duration, double[] cost) {}
