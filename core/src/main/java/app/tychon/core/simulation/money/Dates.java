package app.tychon.core.simulation.money;

/** When places begin and end in some futures, instants. A branch without work begins and ends at infinity. */
public interface Dates {
    void starts(Place place, double[] out);

    void finishes(Place place, double[] out);
}
