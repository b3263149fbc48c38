package app.tychon.core.model;

/** In which calendar a lag runs, unless it is written in elapsed days. */
public enum LagCalendar {
    PREDECESSOR,
    SUCCESSOR,
    ELAPSED
}
