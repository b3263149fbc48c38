package app.tychon.core.schedule;

/**
 * Earliest dates from durations. A pass has an axis of its own on which starts and finishes are numbers, and maps from
 * that axis to instants.
 */
public sealed interface ForwardPass permits OneCalendarPass, ManyCalendarsPass {
    /** Coordinates closer than this, in minutes, are the same: far below a minute, far above rounding. */
    double SAME = 1e-6;

    /** The fastest pass that is exact for the network. */
    static ForwardPass of(Network network) {
        return OneCalendarPass.fits(network) ? new OneCalendarPass(network) : new ManyCalendarsPass(network);
    }

    /** Fills start and finish of one activity in the first {@code count} lanes; all before it must have been placed. */
    void place(int position, Lanes lanes, int count);

    /** Places all activities in the first {@code count} lanes, from their durations (minutes). */
    default void run(Lanes lanes, int count) {
        lanes.begin(count);
        for (int i = 0; i < lanes.duration.length; i++) {
            place(i, lanes, count);
        }
    }

    /** Whether a link into {@code to} decides that activity's dates in a lane that has been run. */
    boolean drives(int link, int to, Lanes lanes, int lane);

    /** The instant of a start coordinate of an activity. */
    double startInstant(int position, double start);

    /** The instant of a finish coordinate of an activity. */
    double finishInstant(int position, double finish);

    /** The instant at which several activities start, the earliest at a coordinate. */
    double spanStartInstant(double start);

    /** The instant at which the project or any part of it ends. */
    double endInstant(double end);

    /** Working minutes of the project calendar from the project's start to a coordinate. */
    double projectWork(double coordinate);
}
