package app.tychon.server.briefs;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Options;
import app.tychon.core.statistics.Sample;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A scenario whose distributions can be read off in front of its readers.
 *
 * @param finish instants in minutes since 1970, for chances evenly from 0 to 1
 * @param cost   money, likewise
 */
record CurveRow(String id, String name, double[] finish, double[] cost) {
    private static final int STEPS = 200;

    static List<CurveRow> of(Ground ground) {
        double level = ground.plan().project().targets().level();
        return Options.scenarios(ground, level).stream()
                .map(option -> new CurveRow(
                        option.scenario().id(),
                        option.scenario().name(),
                        quantiles(option.odds().finish()),
                        quantiles(option.odds().cost())))
                .toList();
    }

    private static double[] quantiles(Sample sample) {
        return IntStream.rangeClosed(0, STEPS)
                .mapToDouble(i -> sample.percentile((double) i / STEPS))
                .toArray();
    }
}
