package app.tychon.core.model;

/** How several risks that strike one activity in one iteration work together. */
public enum CombineRisks {
    /** Added times add up; factors multiply. */
    ADD,
    /** Only the added time of largest size and the factor farthest from one count. */
    LARGEST
}
