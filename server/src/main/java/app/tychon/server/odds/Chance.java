package app.tychon.server.odds;

/** Chances as they are asked for, in percent. */
public final class Chance {
    private static final double PERCENT = 100;

    private Chance() {}

    /** From 0 to 100 %, as 0 to 1. */
    public static double share(double percent) {
        if (!(percent >= 0 && percent <= PERCENT)) {
            throw new IllegalArgumentException("a chance lies between 0 and 100 %, not " + percent);
        }
        return percent / PERCENT;
    }

    /** Above 0 and up to 100 %, as a share of futures that is more than none. */
    public static double some(double percent) {
        if (percent == 0) {
            throw new IllegalArgumentException("a chance lies above 0 and at most 100 %, not 0");
        }
        return share(percent);
    }
}
