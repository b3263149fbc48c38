package app.tychon.core.scenario;

import app.tychon.core.scenario.TrackRecord.Fact;
import java.util.List;
import java.util.function.Predicate;

/**
 * How many of some facts fell where in their ranges.
 *
 * @param count      of all
 * @param belowEnd   below everything their range allowed
 * @param under20    below P20, those below the end among them
 * @param to50       from P20 to P50
 * @param to80       from P50 to P80
 * @param beyond80   beyond P80, those beyond the end among them
 * @param beyond90   beyond P90
 * @param beyondEnd  beyond everything their range allowed
 */
public record RangeTally(
        int count, int belowEnd, int under20, int to50, int to80, int beyond80, int beyond90, int beyondEnd) {
    public static RangeTally of(List<Fact> facts) {
        return new RangeTally(
                facts.size(),
                count(facts, Fact::belowEnd),
                count(facts, fact -> fact.chance() < 0.2),
                count(facts, fact -> fact.chance() >= 0.2 && fact.chance() < 0.5),
                count(facts, fact -> fact.chance() >= 0.5 && fact.chance() <= 0.8),
                count(facts, fact -> fact.chance() > 0.8),
                count(facts, fact -> fact.chance() > 0.9),
                count(facts, Fact::beyondEnd));
    }

    private static int count(List<Fact> facts, Predicate<Fact> which) {
        return (int) facts.stream().filter(which).count();
    }

    /**
     * The chance that so many or more would be so by chance alone: the upper tail of a binomial.
     *
     * @param share of each, 0 to 1
     */
    public static double byChance(int of, int count, double share) {
        double sum = 0;
        double term = Math.pow(1 - share, count);
        for (int k = 0; k <= count; k++) {
            if (k >= of) {
                sum += term;
            }
            term *= (count - k) / (k + 1.0) * share / (1 - share);
        }
        return Math.min(1, sum);
    }
}
