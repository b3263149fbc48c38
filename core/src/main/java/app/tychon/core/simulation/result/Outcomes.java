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
public record Outcomes(double[] finish, double[] duration, double[] cost, double[] risk, double certain) {

    /** What each future costs beyond the same future of a variation, but for what is certain in both. */
    public double[] costBeyond(Outcomes other) {
        return less(cost, other.cost, certain - other.certain);
    }

    /** How much later each future finishes than the same future of a variation, working minutes of the project calendar. */
    public double[] minutesBeyond(Outcomes other) {
        return less(duration, other.duration, 0);
    }

    /** What risks add to amounts in each future beyond those of the same future of a variation. */
    public double[] riskBeyond(Outcomes other) {
        return less(risk, other.risk, 0);
    }

    private static double[] less(double[] these, double[] those, double same) {
        double[] difference = new double[these.length];
        for (int i = 0; i < difference.length; i++) {
            difference[i] = these[i] - those[i] - same;
        }
        return difference;
    }
}
