package app.tychon.server.odds;

import app.tychon.core.simulation.RunResult;
import java.util.Arrays;
import java.util.List;

/**
 * When the simulated work of each activity and branch begins and ends.
 *
 * @param levels in percent
 */
record Spans(List<Integer> levels, List<Span> activities, List<Span> branches) {
    private static final List<Integer> LEVELS = List.of(1, 5, 10, 20, 30, 40, 50, 60, 70, 80, 90, 95, 99);

    /**
     * One activity's, or one branch's from its first start to its last finish.
     *
     * @param criticality share of futures, 0 to 1, in which it, or something in it, drove the finish
     * @param start at each level, in whole minutes since 1970 without a zone
     * @param finish likewise
     */
    record Span(String id, double criticality, long[] start, long[] finish) {}

    static Spans of(RunResult result) {
        return new Spans(
                LEVELS,
                result.activities().stream()
                        .map(r -> new Span(r.id(), r.criticality(), at(r.start()), at(r.finish())))
                        .toList(),
                result.branches().stream()
                        .map(r -> new Span(r.id(), r.criticality(), at(r.start()), at(r.finish())))
                        .toList());
    }

    private static long[] at(double[] percentiles) {
        long[] values = new long[LEVELS.size()];
        Arrays.setAll(values, i -> Math.round(percentiles[LEVELS.get(i) - 1]));
        return values;
    }
}
