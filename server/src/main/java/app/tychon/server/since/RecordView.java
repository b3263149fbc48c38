package app.tychon.server.since;

import app.tychon.core.scenario.RangeTally;
import app.tychon.core.scenario.TrackRecord.Fact;
import app.tychon.core.uncertainty.BinomialProportion;
import app.tychon.core.uncertainty.BinomialProportion.Interval;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Locale;

/**
 * Where what really happened fell in the ranges given for it.
 *
 * @param all    of everything that is over
 * @param groups the same by grade, by branch and by resource
 * @param facts  one by one, in the order of the plan
 * @param wider  grades that ought to be wider, with what they would become
 */
record RecordView(TallyView all, List<TallyGroup> groups, List<FactRow> facts, List<WiderGrade> wider) {

    /**
     * How many fell where.
     *
     * @param low90  least share, 0 to 1, that lies beyond P90 in truth, with 95 %, so few as these are
     * @param high90 most
     * @param chance80 chance that so many or more lie beyond P80 where ranges are right
     * @param chance20 that so many or more lie below P20
     */
    record TallyView(
            int count,
            int belowEnd,
            int under20,
            int to50,
            int to80,
            int beyond80,
            int beyond90,
            int beyondEnd,
            double low90,
            double high90,
            double chance80,
            double chance20) {
        private static final double FIFTH = 0.2;

        static TallyView of(List<Fact> facts) {
            RangeTally tally = RangeTally.of(facts);
            Interval beyond = tally.count() == 0
                    ? new Interval(0, 1)
                    : BinomialProportion.interval(tally.beyond90(), tally.count());
            return new TallyView(
                    tally.count(),
                    tally.belowEnd(),
                    tally.under20(),
                    tally.to50(),
                    tally.to80(),
                    tally.beyond80(),
                    tally.beyond90(),
                    tally.beyondEnd(),
                    beyond.low(),
                    beyond.high(),
                    RangeTally.byChance(tally.beyond80(), tally.count(), FIFTH),
                    RangeTally.byChance(tally.under20(), tally.count(), FIFTH));
        }
    }

    /**
     * Those that have something in common.
     *
     * @param by   grade, branch or resource
     * @param open how many of them are still to be done
     */
    record TallyGroup(String by, String id, String name, int open, TallyView tally) {}

    /**
     * One of them.
     *
     * @param kind    duration, in working days, or cost
     * @param chance  of what happened or less in its range, 0 to 1
     */
    record FactRow(
            String kind,
            String id,
            String name,
            double planned,
            double actual,
            double chance,
            boolean belowEnd,
            boolean beyondEnd,
            @Nullable String grade,
            String branch) {
        static FactRow of(Fact fact) {
            return new FactRow(
                    fact.kind().name().toLowerCase(Locale.ROOT),
                    fact.id(),
                    fact.name(),
                    fact.planned(),
                    fact.actual(),
                    fact.chance(),
                    fact.belowEnd(),
                    fact.beyondEnd(),
                    fact.grade().orElse(null),
                    fact.branch());
        }
    }

    /**
     * A grade that has been too narrow. Points are factors of the planned value.
     *
     * @param open how many activities and cost lines have it that are not over
     */
    record WiderGrade(
            String id,
            String name,
            int open,
            double low,
            double likely,
            double high,
            double widerLow,
            double widerHigh) {}
}
