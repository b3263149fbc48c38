package app.tychon.core.model;

/** Which end of the predecessor (first letter) holds which end of the successor (second): finish or start. */
public enum LinkType {
    FS(true, true),
    SS(false, true),
    FF(true, false),
    SF(false, false);

    private final boolean fromFinish;
    private final boolean toStart;

    LinkType(boolean fromFinish, boolean toStart) {
        this.fromFinish = fromFinish;
        this.toStart = toStart;
    }

    /** The type that leads from a side to a side. */
    public static LinkType of(boolean fromFinish, boolean toStart) {
        return fromFinish ? (toStart ? FS : FF) : toStart ? SS : SF;
    }

    public boolean fromFinish() {
        return fromFinish;
    }

    public boolean toStart() {
        return toStart;
    }
}
