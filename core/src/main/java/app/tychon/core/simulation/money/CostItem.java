package app.tychon.core.simulation.money;

import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.risk.Hit;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * Something that costs, a cost line or a resource at work, made ready.
 *
 * @param id           of the cost line, or {@link app.tychon.core.simulation.risk.RiskTargets#id} of the assignment
 * @param place        what it stands on
 * @param whole        the planned amount, of which a range in money speaks
 * @param amount       still to be paid, as planned; all of it where it is not known what has been
 * @param variableShare of the amount that grows with time
 * @param plannedDuration minutes, of the place, less those done
 * @param progressRatio what is to be expected of them now, in parts of planned
 * @param spent        paid already, whatever happens
 * @param isUnderWay   whether it is known what has been paid, so that nothing else falls due before the data date
 * @param done         minutes of the place that were over when what is still to be paid was planned
 * @param earliest     the data date, or the project's start
 * @param planned      level of prices as planned
 * @param parts        when it falls due
 * @param owner        row of what it stands on in {@link CostLanes#owners}
 * @param scaled       risks that multiply what is still to be paid
 */
@RecordBuilder
public record CostItem(
        String id,
        Place place,
        double whole,
        double amount,
        double variableShare,
        UncertainInput sampled,
        double plannedDuration,
        double progressRatio,
        double spent,
        boolean isUnderWay,
        double done,
        double earliest,
        Prices prices,
        PlannedLevel planned,
        List<Part> parts,
        int owner,
        List<Hit> scaled)
        implements CostItemBuilder.With {
    /**
     * What is planned to fall due, to tell the level of prices then from that in a future.
     *
     * @param from   by part, instants; {@code to} and {@code share} likewise
     * @param yearly by how much prices are planned to rise
     * @param level  of prices as planned
     */
    public record PlannedLevel(double[] from, double[] to, double[] share, double yearly, double level) {
        static final PlannedLevel NONE = new PlannedLevel(new double[0], new double[0], new double[0], 0, 1);

        PlannedLevel withLevel(double other) {
            return new PlannedLevel(from, to, share, yearly, other);
        }

        /** The level at the planned dates if prices rise otherwise. */
        double at(Prices prices, double otherYearly) {
            double sum = 0;
            for (int p = 0; p < from.length; p++) {
                sum += share[p] * prices.level(from[p], to[p], otherYearly);
            }
            return sum;
        }
    }

    public double growth() {
        return PlannedCost.growth(variableShare, progressRatio);
    }

    /** What it costs without uncertainty. */
    public double plannedCost() {
        return spent + amount * growth() * planned.level();
    }

    /** Whether its cost follows how long the work takes. */
    public boolean followsTime() {
        return variableShare != 0 && plannedDuration != 0;
    }

    /** Whether its cost follows when the work is done. */
    public boolean followsDates() {
        return !prices.areConstant();
    }
}
