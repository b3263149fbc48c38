package app.tychon.server.confirm;

/**
 * How much of what the odds of a project rest on was confirmed by those who answer for it, as it is now.
 *
 * @param risks of the register, but for those that are closed
 * @param ranges of rows that have one of their own
 */
public record ConfirmedShare(int confirmedRisks, int risks, int confirmedRanges, int ranges) {}
