package app.tychon.core.model;

/** When the money of a cost line falls due. */
public enum CostTiming {
    START,
    FINISH,
    EVEN
}
