package app.tychon.core.model;

/** The unit in which a duration or lag is written. All but {@link #ELAPSED_DAYS} are working time. */
public enum DurationUnit {
    MINUTES("min"),
    HOURS("h"),
    DAYS("d"),
    WEEKS("w"),
    /** Days of 24 hours that ignore calendars. */
    ELAPSED_DAYS("ed");

    private final String suffix;

    DurationUnit(String suffix) {
        this.suffix = suffix;
    }

    /** The mark behind the number in text, as in {@code 12d}. */
    public String suffix() {
        return suffix;
    }
}
