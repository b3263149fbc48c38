package app.tychon.core.simulation.result;

/**
 * What a run says of one branch of the work breakdown.
 *
 * @param criticality share of iterations, 0 to 1, in which some work in it lay on a longest path to the finish
 * @param start percentiles 1 to 99 of its first start, instants in minutes (index 0 is P1)
 * @param finish percentiles 1 to 99 of its last finish, instants in minutes
 */
public record BranchResult(String id, double criticality, double[] start, double[] finish) {}
