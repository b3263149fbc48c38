package app.tychon.core.simulation.money;

import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.Lanes;

/** The dates of a batch that has been worked off. */
public record LaneDates(Lanes lanes, BranchSpans spans, int count) implements Dates {
    @Override
    public void starts(Place place, double[] out) {
        copy(place.isBranch() ? spans.start[spans.row(place.on())] : lanes.start[place.position()], out);
    }

    @Override
    public void finishes(Place place, double[] out) {
        copy(place.isBranch() ? spans.finish[spans.row(place.on())] : lanes.finish[place.position()], out);
    }

    private void copy(double[] row, double[] out) {
        System.arraycopy(row, 0, out, 0, count);
    }
}
