package app.tychon.core.simulation.risk;

import app.tychon.core.model.Impact;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.UncertainInput;
import java.util.Arrays;

/**
 * An impact of a risk made ready.
 *
 * @param index  row of the working space, for the size that all targets share
 * @param event  row of the risk's strikes
 * @param size   of one strike, in the impact's own unit
 * @param stream of that size; each target has one of its own where they do not share
 */
public record RiskImpact(
        Impact impact, int index, int event, UncertainInput size, RandomStream stream, String identity) {

    /** The same in rows of its own. @param held whether its size is its mean in every future */
    RiskImpact at(int index, int event, boolean held) {
        UncertainInput its =
                held ? UncertainInput.certain(size.table().distribution().mean()) : size;
        return new RiskImpact(impact, index, event, its, stream, identity);
    }

    public boolean isShared() {
        return impact.draw() == Impact.Draw.SHARED;
    }

    /** The draw of one target, by its identity. */
    public RandomStream streamOf(String target) {
        return isShared() ? stream : RandomStream.of(RandomStream.Role.IMPACT, identity + "\n" + target);
    }

    /** Total size of all strikes of each lane: added up, or multiplied where it is a factor. */
    public void total(RandomStream from, Batch batch, Strikes strikes, double[] out) {
        int[] times = strikes.count[event];
        int count = batch.count();
        boolean scale = impact.effect().isScale();
        Arrays.fill(out, 0, count, scale ? 1 : 0);
        int most = Arrays.stream(times, 0, count).max().orElse(0);
        for (int n = 0; n < most; n++) {
            size.drawnFrom(from.nth(n)).sample(batch, strikes.draws);
            for (int k = 0; k < count; k++) {
                if (times[k] > n) {
                    out[k] = scale ? out[k] * strikes.draws[k] : out[k] + strikes.draws[k];
                }
            }
        }
    }
}
