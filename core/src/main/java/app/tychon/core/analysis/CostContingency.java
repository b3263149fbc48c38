package app.tychon.core.analysis;

import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.statistics.Centred;
import app.tychon.core.statistics.Sample;

/**
 * What has to be set aside beyond the plan to be sure of a cost, and how much of it delay asks for.
 *
 * @param with      at the level, less the plan
 * @param without   the same if nothing took longer or shorter, nor came later, than planned
 * @param minuteCosts what a working minute of the project costs, by least squares of what time adds on the duration; 0 where the
 *     duration never varies
 */
public record CostContingency(double with, double without, double minuteCosts) {

    /**
     * @param duration working minutes of each future
     * @param level    0 to 1
     */
    public static CostContingency of(CostSamples cost, double[] duration, double level) {
        double certain = cost.planned() + cost.actions();
        double[] totals = cost.totals();
        double[] punctual = totals.clone();
        for (int i = 0; i < punctual.length; i++) {
            punctual[i] -= cost.timeDriven()[i];
        }
        return new CostContingency(
                Sample.of(totals).percentile(level) - certain,
                Sample.of(punctual).percentile(level) - certain,
                slope(Centred.of(duration), Centred.of(cost.timeDriven())));
    }

    private static double slope(Centred x, Centred y) {
        double product = 0;
        for (int i = 0; i < x.values().length; i++) {
            product += x.values()[i] * y.values()[i];
        }
        return x.varies() ? product / x.squares() : 0;
    }

    /** What delay alone asks for. */
    public double delay() {
        return with - without;
    }
}
