package app.tychon.core.simulation.money;

/**
 * A part of an item's money, and when it falls due.
 *
 * @param share   of the item, 0 to 1
 * @param instant of a {@link When#DAY}
 */
public record Part(double share, When when, Place place, double instant) {
    /** When money falls due. */
    public enum When {
        START,
        FINISH,
        /** Over the working time of its place. */
        EVENLY,
        /** At an instant, whatever the work does. */
        DAY
    }
}
