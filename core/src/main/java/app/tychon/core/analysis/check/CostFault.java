package app.tychon.core.analysis.check;

/** What the cost check looks for. */
public enum CostFault {
    /** A line without an amount, or a resource at work with no units. */
    MONEY_ON_NOTHING,
    /** Money that grows with time on what takes none. */
    TIME_WITHOUT_DURATION,
    /** A planned total far from the budget. */
    UNLIKE_BUDGET,
    /** A resource at work that costs nothing. */
    NO_RATE,
    /** More of a resource at work at once, as planned, than there is. */
    OVER_LIMIT,
    /** A line that is certain among lines that are not. */
    CERTAIN_LINE,
    /** Funding before the project begins. */
    EARLY_FUNDING,
    /** Less funding than the plan costs. */
    SHORT_FUNDING,
    /** More spent than was planned for all of it. */
    OVERSPENT,
    /** A resource and a line that may pay the same people for the same days. */
    PAID_TWICE
}
