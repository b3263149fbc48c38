package app.tychon.core.simulation.risk;

import app.tychon.core.simulation.draws.Batch;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;

/** The risk register at work: which risks strike in an iteration, and what they do to durations. */
public final class RiskModel {
    private final List<RiskEvent> events;
    private final List<RiskImpact> impacts;
    private final Hit[][] timeHits;
    private final boolean[] onlyLargest;
    private final MoneyHits money;

    /** What strikes money: single targets, and all of a cost line. */
    public record MoneyHits(Map<String, List<Hit>> added, Map<String, List<Hit>> scaled) {}

    /**
     * @param events   each after the one it depends on
     * @param timeHits by position, empty where nothing strikes
     * @param onlyLargest by position, whether only the largest of what strikes it counts
     */
    RiskModel(List<RiskEvent> events, Hit[][] timeHits, boolean[] onlyLargest, MoneyHits money) {
        this.events = events;
        impacts = new ArrayList<>();
        events.forEach(event -> impacts.addAll(event.impacts()));
        this.timeHits = timeHits;
        this.onlyLargest = onlyLargest;
        this.money = money;
    }

    public Strikes space() {
        return new Strikes(events.size(), impacts.size());
    }

    /** The same, in which every risk has still to be shared with another working space, or begun. */
    public Strikes spaceToShare() {
        return Strikes.withoutRows(events.size(), impacts.size());
    }

    /** For {@link #strikeOnly} of one risk: rows for it and those it depends on alone. */
    public Strikes spaceFor(RiskEvent event) {
        Strikes space = spaceToShare();
        space.begin(event);
        for (RiskEvent one = event; one.condition() >= 0; ) {
            one = events.get(one.condition());
            space.begin(one);
        }
        return space;
    }

    public List<RiskEvent> events() {
        return events;
    }

    /** Whether any risk may add time to an activity; to scale what takes no time delays nothing. */
    public boolean mayDelay(int position) {
        return Arrays.stream(timeHits[position])
                .anyMatch(hit -> !hit.impact().impact().effect().isScale());
    }

    public MoneyHits money() {
        return money;
    }

    /** Decides which risks strike in the lanes of a batch, how often, and how hard where targets share a draw. */
    public void strike(Batch batch, Exposure.Source durations, Strikes strikes) {
        for (RiskEvent event : events) {
            strike(event, batch, durations, strikes);
        }
    }

    /** The same for one risk; what it depends on must have been decided. */
    public void strike(RiskEvent event, Batch batch, Exposure.Source durations, Strikes strikes) {
        event.strike(batch, durations, strikes);
        for (RiskImpact impact : event.impacts()) {
            if (impact.isShared() && strikes.any(event.index())) {
                impact.total(impact.stream(), batch, strikes, strikes.size[impact.index()]);
            }
        }
    }

    /** Whether anything strikes the duration of an activity. */
    public boolean strikes(int position) {
        return timeHits[position].length > 0;
    }

    /** Whether one of some risks, by row, strikes the duration of an activity. */
    public boolean strikes(int position, BitSet events) {
        return Arrays.stream(timeHits[position])
                .anyMatch(hit -> events.get(hit.impact().event()));
    }

    /** Decides on one risk and those it depends on alone. */
    public void strikeOnly(RiskEvent event, Batch batch, Exposure.Source durations, Strikes strikes) {
        if (event.condition() >= 0) {
            strikeOnly(events.get(event.condition()), batch, durations, strikes);
        }
        event.strike(batch, durations, strikes);
    }

    /** Bends the durations still to be worked of one activity: scaled first, then added to, never below zero. */
    public void bend(int position, Batch batch, Strikes strikes, double[] duration) {
        int count = batch.count();
        Hit[] hits = timeHits[position];
        if (hits.length == 0) {
            return;
        }
        boolean largest = onlyLargest[position];
        boolean any = false;
        for (Hit hit : hits) {
            int event = hit.impact().event();
            if (!strikes.any(event)) {
                continue;
            }
            if (!any) {
                Arrays.fill(strikes.scale, 0, count, 1);
                Arrays.fill(strikes.added, 0, count, 0);
                any = true;
            }
            double[] sizes = hit.sizes(batch, strikes);
            int[] times = strikes.count[event];
            boolean scales = hit.impact().impact().effect().isScale();
            for (int k = 0; k < count; k++) {
                if (times[k] == 0) {
                    continue;
                }
                if (scales) {
                    strikes.scale[k] = largest ? farther(strikes.scale[k], sizes[k]) : strikes.scale[k] * sizes[k];
                } else {
                    double minutes = sizes[k] * hit.unit();
                    strikes.added[k] = largest ? larger(strikes.added[k], minutes) : strikes.added[k] + minutes;
                }
            }
        }
        for (int k = 0; any && k < count; k++) {
            duration[k] = Math.max(0, duration[k] * strikes.scale[k] + strikes.added[k]);
        }
    }

    /** The factor farther from one, by ratio. */
    private static double farther(double one, double other) {
        return Math.max(other, 1 / other) > Math.max(one, 1 / one) ? other : one;
    }

    /** The one of larger size, whatever its sign. */
    private static double larger(double one, double other) {
        return Math.abs(other) > Math.abs(one) ? other : one;
    }
}
