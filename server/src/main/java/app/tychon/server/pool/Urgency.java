package app.tychon.server.pool;

/** What something is calculated for; what stands first goes first. */
public enum Urgency {
    /** The first odds after an edit. */
    FIRST_ODDS,
    /** What somebody waits for. */
    AWAITED,
    /** Better numbers for what is shown already. */
    REFINEMENT,
    /** Runs for the record. */
    RECORDED;

    /** Whether somebody waits for it. */
    boolean isHurried() {
        return isBefore(REFINEMENT);
    }

    boolean isBefore(Urgency other) {
        return compareTo(other) < 0;
    }
}
