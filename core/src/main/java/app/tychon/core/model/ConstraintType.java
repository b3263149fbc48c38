package app.tychon.core.model;

/** "No later than" bounds late dates only; "on" is both no earlier and no later. */
public enum ConstraintType {
    START_NO_EARLIER(true, true, false),
    FINISH_NO_EARLIER(false, true, false),
    START_NO_LATER(true, false, true),
    FINISH_NO_LATER(false, false, true),
    START_ON(true, true, true),
    FINISH_ON(false, true, true);

    private final boolean onStart;
    private final boolean noEarlier;
    private final boolean noLater;

    ConstraintType(boolean onStart, boolean noEarlier, boolean noLater) {
        this.onStart = onStart;
        this.noEarlier = noEarlier;
        this.noLater = noLater;
    }

    /** Whether it holds the start; otherwise the finish. */
    public boolean onStart() {
        return onStart;
    }

    public boolean noEarlier() {
        return noEarlier;
    }

    public boolean noLater() {
        return noLater;
    }
}
