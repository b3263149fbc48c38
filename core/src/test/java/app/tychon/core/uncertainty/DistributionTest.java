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
                PertDistribution.of(5, 20, 90, 0.5),
                BetaDistribution.of(2.5, 4, 10, 50),
                NormalDistribution.of(20, 3),
                LognormalDistribution.of(20, 8),
                GammaDistribution.of(3.2, 4),
                WeibullDistribution.of(1.8, 12),
                WeibullDistribution.of(1, 15),
                CumulativeDistribution.of(new double[] {5, 10, 20}, new double[] {0, 0.7, 1}),
                TruncatedDistribution.of(NormalDistribution.of(5, 4), 0, Double.POSITIVE_INFINITY),
                TruncatedDistribution.of(LognormalDistribution.of(20, 8), 12, 40),
                TruncatedDistribution.of(TriangularDistribution.of(10, 12, 18), 11, 15));
    }

    static Stream<Distribution> costlyToInvert() {
        return distributions().filter(Distribution::hasCostlyInverse);
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
        // An end without bound is left where a ten-millionth of the chance lies beyond it.
        double low = Double.isFinite(d.low()) ? d.low() : d.inverse(1e-7);
        double high = Double.isFinite(d.high()) ? d.high() : d.inverse(1 - 1e-7);
        double step = (high - low) / steps;
        double mass = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < steps; i++) {
            double x = low + (i + 0.5) * step;
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
    @MethodSource("costlyToInvert")
    void theTableKeepsWithinAHundredThousandthOfTheQuartiles(Distribution d) {
        assertExact(InverseTable.of(d), d);
    }

    @Test
    void tablesOfPertsKeepWithinItToo() {
        PertTables tables = new PertTables();
        for (double likely : new double[] {0, 0.003, 0.01, 0.12, 0.25, 0.4999, 0.5, 0.77, 0.98, 0.9973, 1}) {
            Distribution d = PertDistribution.of(100, 100 + 40 * likely, 140, 4);
            assertThat(PertTables.fits(d)).isTrue();
            assertExact(tables.of(d), d);
        }
        assertThat(PertTables.fits(PertDistribution.of(1, 2, 3, 5))).isFalse();
        assertThat(PertTables.fits(BetaDistribution.of(0.5, 5.5, 0, 1))).isFalse();
    }

    private static void assertExact(InverseTable table, Distribution d) {
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

    /** An independent implementation of the same cumulatives. */
    @Test
    void cumulativesAgreeWithTheLibrarysOwn() {
        var gamma = new org.hipparchus.distribution.continuous.GammaDistribution(3.2, 4);
        var weibull = new org.hipparchus.distribution.continuous.WeibullDistribution(1.8, 12);
        var beta = new org.hipparchus.distribution.continuous.BetaDistribution(2.5, 4);
        for (double x = 0.5; x < 40; x += 0.7) {
            assertThat(GammaDistribution.of(3.2, 4).cumulative(x))
                    .isCloseTo(gamma.cumulativeProbability(x), within(1e-12));
            assertThat(WeibullDistribution.of(1.8, 12).cumulative(x))
                    .isCloseTo(weibull.cumulativeProbability(x), within(1e-12));
            assertThat(BetaDistribution.of(2.5, 4, 0, 40).cumulative(x))
                    .isCloseTo(beta.cumulativeProbability(x / 40), within(1e-12));
        }
    }

    @Test
    void aLognormalHasTheMeanAndDeviationAskedFor() {
        Distribution d = LognormalDistribution.of(20, 8);
        // Median and P84 of a lognormal: exp(mu) and exp(mu + sigma).
        double variance = Math.log(1 + 64.0 / 400);
        assertThat(d.inverse(0.5)).isCloseTo(20 / Math.sqrt(1.16), within(1e-9));
        assertThat(d.cumulative(d.inverse(0.5) * Math.exp(Math.sqrt(variance))))
                .isCloseTo(0.8413447460685429, within(1e-12));
    }

    @Test
    void dataAndDiscreteValuesAreReachedInOrder() {
        Distribution data = DiscreteDistribution.ofData(new double[] {7, 3, 5, 5});
        assertThat(data.inverse(0.1)).isEqualTo(3);
        assertThat(data.inverse(0.6)).isEqualTo(5);
        assertThat(data.inverse(1)).isEqualTo(7);
        assertThat(data.cumulative(5)).isEqualTo(0.75);
        assertThat(data.cumulative(2.9)).isZero();
        assertThat(data.mean()).isEqualTo(5);
        assertThat(data.standardDeviation()).isCloseTo(Math.sqrt(2), within(1e-12));
        Distribution coin = DiscreteDistribution.of(new double[] {10, 0}, new double[] {0.25, 0.75});
        assertThat(coin.mean()).isEqualTo(2.5);
        assertThat(TruncatedDistribution.of(data, 4, 6).mean()).isEqualTo(5);
        assertThatThrownBy(() -> DiscreteDistribution.of(new double[] {1}, new double[] {0.5}))
                .hasMessageContaining("add up to 1");
    }

    @Test
    void outerPointsThatArePercentilesAreMetExactly() {
        for (double[] at : new double[][] {{0.1, 0.9}, {0.05, 0.95}, {0, 0.9}, {0.1, 1}, {0.2, 0.7}}) {
            Shape.Ends ends = new Shape.Ends(at[0], at[1]);
            for (Shape shape : List.of(new Shape.Triangular(10, 12, 18, ends), new Shape.Pert(10, 12, 18, 4, ends))) {
                Distribution d = Distributions.of(shape, 480);
                assertThat(d.cumulative(10 * 480)).isCloseTo(at[0], within(1e-9));
                assertThat(d.cumulative(18 * 480)).isCloseTo(at[1], within(1e-9));
                assertThat(d.low()).isLessThanOrEqualTo(10 * 480);
                assertThat(d.high()).isGreaterThanOrEqualTo(18 * 480 - 1e-9);
            }
        }
    }

    @Test
    void aDurationIsCutOffAtZero() {
        Distribution d = Distributions.ofDuration(new Shape.Normal(3, 4), 480);
        assertThat(d.low()).isZero();
        assertThat(d.inverse(1e-9)).isGreaterThanOrEqualTo(0);
        // Mean of a normal cut off at zero: mu + sigma phi(a) / (1 - Phi(a)) with a = -mu / sigma.
        double a = -0.75;
        double phi = Math.exp(-a * a / 2) / Math.sqrt(2 * Math.PI);
        assertThat(d.mean() / 480).isCloseTo(3 + 4 * phi / 0.7733726476231317, within(1e-4));
        assertThatThrownBy(() -> TruncatedDistribution.of(UniformDistribution.of(1, 2), 5, 6))
                .hasMessageContaining("nothing is left");
    }
}
