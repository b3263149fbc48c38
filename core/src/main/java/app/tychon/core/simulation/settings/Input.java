package app.tychon.core.simulation.settings;

/** One uncertain quantity of a plan. */
public record Input(Key key, String name) {
    public enum Kind {
        /** The estimate of an activity's duration, working minutes. */
        ESTIMATE,
        /** The estimate of a cost line's amount, money. */
        COST,
        /** How often a risk strikes: 0 or 1 unless it recurs. */
        OCCURRENCE,
        /** How large an impact of a risk is, in its own unit; the mean of its targets' where each has a draw of its own. */
        IMPACT
    }

    /**
     * What an input is known by.
     *
     * @param id     code of the activity, cost line or risk
     * @param impact which impact of the risk, from 0
     */
    public record Key(Kind kind, String id, int impact) {}

    public Kind kind() {
        return key.kind();
    }

    public String id() {
        return key.id();
    }
}
