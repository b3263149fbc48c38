package app.tychon.core.analysis;

import app.tychon.core.model.Activity;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.settings.Variation.Shortening;

/** What of an activity is taken off to see what its shortening is worth: a day, or a tenth. */
public final class DayGain {
    /** By how much each activity is shortened. */
    public enum Cut {
        /** A working day of its own calendar. */
        DAY,
        /** A tenth of what each future makes of it. */
        TENTH
    }

    private DayGain() {}

    /** Whether there is work in an activity that can be shortened. */
    public static boolean canShorten(Network network, Activity activity) {
        return !activity.isMilestone()
                && !activity.isHammock()
                && !network.work(network.position(activity.id())).isFinished();
    }

    /** What a cut takes off an activity. */
    public static Shortening shortening(Network network, Activity activity, Cut cut) {
        double day = activity.minutesPerDay(network.calendar(network.position(activity.id())));
        return cut == Cut.DAY ? new Shortening(1, day) : new Shortening(0.9, 0);
    }
}
