package app.tychon.core.model;

/** What the parameters of an estimate count. */
public enum Basis {
    /** Working days of the activity's calendar. */
    DAYS,
    /** Working hours. */
    HOURS,
    /** The project's currency. */
    MONEY,
    /** Multiples of the planned value. */
    FACTOR
}
