package app.tychon.core.model;

/**
 * A stretch of working time within one day.
 *
 * @param from minute of the day it starts, 0 to 1439
 * @param to   minute of the day it ends, up to 1440 (midnight)
 */
public record Shift(int from, int to) {
    public static final int DAY = 24 * 60;

    public int minutes() {
        return to - from;
    }
}
