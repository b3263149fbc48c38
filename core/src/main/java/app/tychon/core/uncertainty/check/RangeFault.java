package app.tychon.core.uncertainty.check;

/** What the range check looks for. */
public enum RangeFault {
    /** Work ahead that has no range, so that it counts as certain. */
    NO_RANGE,
    /** Work ahead that is said to take exactly what is planned. */
    SAID_CERTAIN,
    /** A likely value that truncation has cut off. */
    LIKELY_CUT_OFF,
    /** A range that the planned value does not lie in. */
    PLANNED_OUTSIDE,
    /** Ends so far apart that the unit or the scope may be mistaken. */
    EXTREME_RATIO,
    /** One range typed over most of a branch. */
    COPIED_RANGE,
    /** The likely value is the planned one nearly everywhere. */
    ANCHORED,
    /** As much may be gained as lost nearly everywhere. */
    SYMMETRIC,
    /** Ten percent up and down in most places. */
    TEN_PERCENT,
    /** Coefficients that cannot hold together. */
    IMPOSSIBLE_MATRIX,
    /** Many ranges that all move alone, so that they cancel out. */
    NO_CORRELATION
}
