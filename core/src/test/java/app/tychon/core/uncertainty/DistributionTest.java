package app.tychon.core.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.model.Shape;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DistributionTest {
    static Stream<Distribution> distributions() {
        return Stream.of(
                UniformDistribution.of(2, 9),
                TriangularDistribution.of(10, 12, 18),
                TriangularDistribution.of(0, 0, 5),
                TriangularDistribution.of(3, 8, 8),
                PertDistribution.of(10, 12, 18, 4),
                PertDistribution.of(0, 0, 5, 4),
                PertDistribution.of(3, 8, 8, 4),
                PertDistribution.of(5, 20, 21, 12),
                PertDistribution.of(5, 20, 90, 0.5));
    }

    @ParameterizedTest
    @MethodSource("distributions")
    void theInverseUndoesTheCumulative(Distribution d) {
        for (double p = 0.001; p < 1; p += 0.001) {
            assertThat(d.cumulative(d.inverse(p))).isCloseTo(p, within(1e-10));
        }
        assertThat(d.inverse(0)).isEqualTo(d.low());
        assertThat(d.inverse(1)).isEqualTo(d.high());
        assertThat(d.cumulative(d.low() - 1)).isZero();
        assertThat(d.cumulative(d.high() + 1)).isOne();
        assertThat(d.density(d.low() - 1)).isZero();
        assertThat(d.density(d.high() + 1)).isZero();
    }

    /** Midpoint integration of the density in fine steps. */
    @ParameterizedTest
    @MethodSource("distributions")
    void momentsAreThoseOfTheDensity(Distribution d) {
        int steps = 400_000;
        double step = (d.high() - d.low()) / steps;
        double mass = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < steps; i++) {
            double x = d.low() + (i + 0.5) * step;
            double weight = d.density(x) * step;
            mass += weight;
            first += x * weight;
            second += (x - d.mean()) * (x - d.mean()) * weight;
        }
        assertThat(mass).isCloseTo(1, within(1e-4));
        assertThat(first).isCloseTo(d.mean(), within(1e-3));
        assertThat(Math.sqrt(second)).isCloseTo(d.standardDeviation(), within(1e-3));
    }

    @ParameterizedTest
    @MethodSource("distributions")
    void theTableKeepsWithinAHundredThousandthOfTheQuartiles(Distribution d) {
        InverseTable table = InverseTable.of(d);
        double bound = 1e-5 * (d.inverse(0.75) - d.inverse(0.25));
        for (double tail = 1e-4; tail <= 0.5; tail *= 1.003) {
            assertThat(table.inverse(tail)).isCloseTo(d.inverse(tail), within(bound));
            assertThat(table.inverse(1 - tail)).isCloseTo(d.inverse(1 - tail), within(bound));
        }
    }

    @Test
    void pertHasTheMeanOfItsDefinition() {
        assertThat(PertDistribution.of(10, 12, 18, 4).mean()).isCloseTo((10 + 4 * 12 + 18) / 6.0, within(1e-12));
    }

    @Test
    void impossibleParametersAreRefusedWithTheirValues() {
        assertThatThrownBy(() -> TriangularDistribution.of(5, 3, 9)).hasMessageContaining("5.0, 3.0, 9.0");
        assertThatThrownBy(() -> UniformDistribution.of(5, 5)).hasMessageContaining("5.0 and 5.0");
        assertThatThrownBy(() -> PertDistribution.of(1, 2, 3, -1)).hasMessageContaining("-1.0");
        assertThatThrownBy(() -> FixedDistribution.of(Double.NaN)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> UniformDistribution.of(1, 2).inverse(1.5)).hasMessageContaining("1.5");
    }

    @Test
    void aShapeIsScaledAndARangeWithoutWidthIsCertain() {
        Distribution days = Distributions.of(new Shape.Triangular(1, 2, 4), 480);
        assertThat(List.of(days.low(), days.high())).containsExactly(480.0, 1920.0);
        Distribution certain = Distributions.of(new Shape.Pert(3, 3, 3, 4), 480);
        assertThat(certain).isInstanceOf(FixedDistribution.class);
        assertThat(certain.mean()).isEqualTo(1440);
        assertThat(certain.standardDeviation()).isZero();
        assertThat(certain.cumulative(1439)).isZero();
    }
}
