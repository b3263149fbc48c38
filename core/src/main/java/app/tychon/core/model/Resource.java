package app.tychon.core.model;

/** People, plant or material with a price. */
public record Resource(String id, String name, double rate, Per per) {
    /** What the rate is paid for. */
    public enum Per {
        HOUR,
        DAY,
        /** A unit of quantity, whatever the time. */
        UNIT
    }
}
