package app.tychon.core.simulation.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

/** How well a mean and a percentile are known, as a share of the standard deviation. */
class SteadinessTest {
    private static final int N = 20_000;

    private static double[] normal() {
        Random random = new Random(5);
        double[] values = new double[N];
        for (int i = 0; i < N; i++) {
            values[i] = 100 + 7 * random.nextGaussian();
        }
        return values;
    }

    /** At P80 of a normal the density is φ(0.8416)/σ, so the half-width is z √(p(1 − p)/n)/0.28 of σ. */
    @Test
    void thePercentilesIntervalIsTheOneOfTheoryAtAnyCertainty() {
        double[][] certainties = {{0.9, 1.6449}, {0.95, 1.9600}, {0.99, 2.5758}};
        for (double[] one : certainties) {
            double theory = one[1] * Math.sqrt(0.8 * 0.2 / N) / 0.27996;
            assertThat(Steadiness.width(0.8, one[0], normal(), N)).isCloseTo(theory, within(0.15 * theory));
        }
    }

    @Test
    void theMeanCountsWhereItIsKnownLessWellThanThePercentile() {
        // Half of all values are equal, so the interval of the median has no width; that of the mean has.
        double[] values = normal();
        for (int i = 0; i < N; i++) {
            values[i] = i % 10 < 8 ? 100 : values[i];
        }
        assertThat(Steadiness.width(0.5, 0.95, values, N)).isCloseTo(1.96 / Math.sqrt(N), within(1e-4));
    }

    @Test
    void fewerValuesAreLessSteadyAndWhatNeverVariesIsSteadyAtOnce() {
        double[] values = normal();
        assertThat(Steadiness.width(0.8, 0.95, values, 1000)).isGreaterThan(3 * Steadiness.width(0.8, 0.95, values, N));
        assertThat(Steadiness.width(0.8, 0.95, new double[50], 50)).isZero();
    }

    @Test
    void aCertaintyOfAllOrNothingMakesNoSense() {
        assertThat(new Steadiness(0.02, 0.8).certainty()).isEqualTo(0.95);
        for (double certainty : new double[] {0, 1, Double.NaN}) {
            assertThatThrownBy(() -> new Steadiness(0.02, 0.8, certainty)).hasMessageContaining("certainty");
        }
    }
}
