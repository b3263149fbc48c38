package app.tychon.core.simulation.tally;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.statistics.Sample;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TallyTest {
    @Test
    void percentilesKeepWithinHalfAPercentOfTheRange() {
        Random random = new Random(1);
        double[] values = random.doubles(20_000).map(u -> -Math.log(u) * 100).toArray();
        Tally tally = Tally.forPilot(values, 100);
        tally.add(values, values.length);
        Sample exact = Sample.of(values);
        double[] percentiles = tally.percentiles();
        double bound = 0.005 * (exact.max() - exact.min());
        for (int p = 1; p <= 99; p++) {
            assertThat(percentiles[p - 1]).isCloseTo(exact.percentile(p / 100.0), within(bound));
        }
    }

    @Test
    void valuesFarOutsideThePilotsRangeAreNotLost() {
        double[] pilot = {10, 10.1};
        Tally tally = Tally.forPilot(pilot, 2);
        tally.add(new double[] {-50, -40, 10, 10.05, 90, 100}, 6);
        double[] percentiles = tally.percentiles();
        assertThat(percentiles[0]).isEqualTo(-50);
        assertThat(percentiles[98]).isEqualTo(90);
        assertThat(tally.min()).isEqualTo(-50);
        assertThat(tally.max()).isEqualTo(100);
    }

    @Test
    void partsMergeToTheWhole() {
        double[] values = new Random(2).doubles(1000).toArray();
        Tally whole = Tally.forPilot(values, 100);
        whole.add(values, 1000);
        Tally first = whole.sibling();
        Tally second = whole.sibling();
        first.add(values, 400);
        double[] rest = Arrays.copyOfRange(values, 400, 1000);
        second.add(rest, 600);
        second.merge(first);
        assertThat(second.percentiles()).isEqualTo(whole.percentiles());
    }
}
