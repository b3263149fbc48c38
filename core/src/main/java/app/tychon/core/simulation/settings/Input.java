package app.tychon.core.simulation.settings;

/** One uncertain quantity of a plan. */
public record Input(Key key, String name) {
    public enum Kind {
        /** The estimate of an activity's duration, working minutes. */
        ESTIMATE,
        /** The estimate of a cost line's amount, money. */
        COST,
        /** By how much prices of a category rise a year, 0.04 for four percent. */
        PRICE,
        /** How often a risk strikes: 0 or 1 unless it recurs. */
        OCCURRENCE,
        /** How large an impact of a risk is, in its own unit; the mean of its targets' where each has a draw of its own. */
        IMPACT,
        /**
         * What a risk does where it strikes, its chance and its size together, all strikes added up: working minutes of the
         * project's calendar ({@link #TIME}), or money with what that time costs ({@link #MONEY}).
         */
        RISK,
        /** Estimates that move together, as one: their sum, or that of their standard scores where time and money mix. */
        GROUP;

        /** Whether it is what somebody estimated, and not a risk. */
        public boolean isEstimated() {
            return this == ESTIMATE || this == COST || this == PRICE;
        }
    }

    /** Which side of a {@link Kind#RISK} counts, in place of an impact. */
    public static final int TIME = 0;

    public static final int MONEY = 1;

    /**
     * What an input is known by.
     *
     * @param id     code of the activity, cost line or risk, the category, or id of the group
     * @param impact which impact of the risk, from 0; which side of it where it is taken whole
     */
    public record Key(Kind kind, String id, int impact) {}

    public Kind kind() {
        return key.kind();
    }

    public String id() {
        return key.id();
    }
}
