package app.tychon.core.model;

public enum ActivityKind {
    TASK,
    /** An instant; it has no duration. */
    MILESTONE
}
