package app.tychon.core.model;

/**
 * A finding of the plan check that somebody has looked at and that is no fault here.
 *
 * @param check  the word of the check, such as {@code openFinish}
 * @param on     id of the activity, or {@link Plan#PROJECT}
 * @param reason why it is no fault
 */
public record Acceptance(String check, String on, String reason) {}
