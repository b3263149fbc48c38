package app.tychon.core.model;

public enum ActivityKind {
    TASK,
    /** An instant; it has no duration. */
    MILESTONE,
    /**
     * Lasts from the earliest start of what opens it to the latest finish of what closes it; drives nothing. Links at its
     * start say what opens it, links at its finish what closes it, whichever way they point.
     */
    HAMMOCK
}
