package app.tychon.core.schedule.check;

/** What the plan check looks for. Loops are no check: a plan with one cannot be calculated and is refused. */
public enum Check {
    /** Nothing comes before it, though it is not where the plan begins. */
    OPEN_START,
    /** Nothing comes after it, though it is not where the plan ends. */
    OPEN_FINISH,
    /** Predecessors hold its finish only, so its start floats free. */
    DANGLING_START,
    /** Successors wait for its start only, so a long duration delays nobody. */
    DANGLING_FINISH,
    /** A lag below zero. */
    LEAD,
    /** A lag so long that it is work without a range. */
    LONG_LAG,
    /** A date that work is held to whatever happens before it. */
    HARD_CONSTRAINT,
    /** A date that cannot be met even as planned. */
    MISSED_CONSTRAINT,
    /** It started before what it depends on allowed. */
    OUT_OF_SEQUENCE,
    /** So long that its progress and its range can hardly be judged. */
    OVERLONG,
    /** A date of it lies where nobody works. */
    OUTSIDE_WORK,
    /** The same link twice. */
    DUPLICATE_LINK,
    /** So many alike durations that they look like a default. */
    EVEN_DURATIONS,
    /** No date to compare the odds with. */
    NO_TARGET
}
