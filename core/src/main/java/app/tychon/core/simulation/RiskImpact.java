package app.tychon.core.simulation;

import app.tychon.core.model.Impact;
import java.util.Arrays;

/**
 * An impact of a risk made ready.
 *
 * @param index  row of the working space, for the size that all targets share
 * @param event  row of the risk's strikes
 * @param size   of one strike, in the impact's own unit
 * @param stream of that size; each target has one of its own where they do not share
 */
record RiskImpact(Impact impact, int index, int event, UncertainInput size, Stream stream, String identity) {

    boolean isShared() {
        return impact.draw() == Impact.Draw.SHARED;
    }

    /** The draw of one target. */
    Stream streamOf(String target) {
        return isShared() ? stream : Stream.of(Stream.Role.IMPACT, identity + "\n" + target);
    }

    /** Total size of all strikes of each lane: added up, or multiplied where it is a factor. */
    void total(Stream from, Draws draws, int first, int count, Strikes strikes, double[] out, Scratch scratch) {
        int[] times = strikes.count[event];
        boolean scale = impact.effect().isScale();
        Arrays.fill(out, 0, count, scale ? 1 : 0);
        int most = Arrays.stream(times, 0, count).max().orElse(0);
        for (int n = 0; n < most; n++) {
            size.drawnFrom(from.nth(n)).sample(draws, first, count, strikes.draws, scratch);
            for (int k = 0; k < count; k++) {
                if (times[k] > n) {
                    out[k] = scale ? out[k] * strikes.draws[k] : out[k] + strikes.draws[k];
                }
            }
        }
    }
}
