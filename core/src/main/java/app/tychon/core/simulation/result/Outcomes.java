package app.tychon.core.simulation.result;

/**
 * Finish and cost alone of a run, for comparing many variations of a plan: nothing is kept of activities. Arrays hold a
 * value an iteration.
 *
 * @param finish instants in minutes
 * @param duration working minutes of the project calendar
 * @param cost money
 * @param risk what risks add to amounts, without the time that they cost
 * @param certain what of the cost is the same in every iteration: the plan and the actions of responses
 */
public record Outcomes(double[] finish, double[] duration, double[] cost, double[] risk, double certain) {}
