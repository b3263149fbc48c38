package app.tychon.server.confirm;

/**
 * How much of what the odds of a project rest on was confirmed by those who answer for it, as it is now.
 *
 * @param risks of the register, but for those that are closed
 * @param ranges of rows that have one of their own
 */
public record ConfirmedShare(int confirmedRisks, int risks, int confirmedRanges, int ranges) {
    static final ConfirmedShare NONE = new ConfirmedShare(0, 0, 0, 0);

    /** Of both together. */
    ConfirmedShare plus(ConfirmedShare other) {
        return new ConfirmedShare(
                confirmedRisks + other.confirmedRisks,
                risks + other.risks,
                confirmedRanges + other.confirmedRanges,
                ranges + other.ranges);
    }
}
