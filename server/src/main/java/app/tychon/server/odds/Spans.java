package app.tychon.server.odds;

import java.util.List;
import java.util.stream.IntStream;

/**
 * When the simulated work of each activity and branch begins and ends.
 *
 * @param levels in percent
 * @param level which of them matters to the project
 */
record Spans(List<Integer> levels, int level, List<Span> activities, List<Span> branches) {
    private static final List<Integer> LEVELS = List.of(1, 5, 10, 20, 30, 40, 50, 60, 70, 80, 90, 95, 99);

    /**
     * One activity's, or one branch's from its first start to its last finish.
     *
     * @param criticality share of futures, 0 to 1, in which it, or something in it, drove the finish
     * @param start at each level, in whole minutes since 1970 without a zone
     * @param finish likewise
     */
    record Span(String id, double criticality, long[] start, long[] finish) {}

    static Spans of(Opened run) {
        int level = run.plan().project().targets().confidence();
        List<Integer> levels = IntStream.concat(LEVELS.stream().mapToInt(l -> l), IntStream.of(level))
                .sorted()
                .distinct()
                .boxed()
                .toList();
        return new Spans(
                levels,
                level,
                run.result().activities().stream()
                        .map(r -> span(r.id(), r.criticality(), levels, r.start(), r.finish()))
                        .toList(),
                run.result().branches().stream()
                        .map(r -> span(r.id(), r.criticality(), levels, r.start(), r.finish()))
                        .toList());
    }

    private static Span span(String id, double criticality, List<Integer> levels, double[] start, double[] finish) {
        return new Span(id, criticality, at(levels, start), at(levels, finish));
    }

    private static long[] at(List<Integer> levels, double[] percentiles) {
        return levels.stream()
                .mapToLong(level -> Math.round(percentiles[level - 1]))
                .toArray();
    }
}
