package app.tychon.core.model;

/** What is meant to be done about a risk, in the words of the trade. */
public enum Strategy {
    AVOID,
    TRANSFER,
    MITIGATE,
    ACCEPT,
    EXPLOIT,
    SHARE,
    ENHANCE;

    /** Whether it is one for threats, for opportunities, or, as to accept, for both. */
    public boolean suits(Risk.Kind kind) {
        return this == ACCEPT || (compareTo(ACCEPT) < 0) == (kind == Risk.Kind.THREAT);
    }
}
