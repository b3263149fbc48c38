package app.tychon.core.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.fitting.Fit;
import app.tychon.core.uncertainty.fitting.Fitting;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class FittingTest {
    private static final int N = 400;

    /** Evenly spread quantiles: as good a sample as there can be, the same every time. */
    private static double[] quantiles(Shape shape, int count) {
        Distribution distribution = Distributions.of(shape, 1);
        return IntStream.range(0, count)
                .mapToDouble(i -> distribution.inverse((i + 0.5) / count))
                .toArray();
    }

    private static <S extends Shape> S fitted(Class<S> kind, double[] observed) {
        return Fitting.ranked(observed).stream()
                .map(Fit::shape)
                .filter(kind::isInstance)
                .map(kind::cast)
                .findFirst()
                .orElseThrow();
    }

    static List<Shape> shapes() {
        return List.of(
                new Shape.Normal(50, 4),
                new Shape.Lognormal(1.2, 0.4),
                new Shape.Gamma(3, 0.5),
                new Shape.Weibull(2.2, 8),
                new Shape.Triangular(4, 5, 14));
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void theShapeThatMadeTheDataIsRankedFirst(Shape shape) {
        List<Fit> fits = Fitting.ranked(quantiles(shape, N));
        Fit best = fits.get(0);
        assertThat(best.shape().getClass()).isEqualTo(shape.getClass());
        assertThat(best.kolmogorovSmirnov()).isLessThan(0.02);
        assertThat(best.andersonDarling()).isLessThan(0.2);
        assertThat(fits).isSortedAccordingTo((a, b) -> Double.compare(a.aic(), b.aic()));
    }

    @Test
    void parametersAreFoundAgain() {
        Shape.Gamma gamma = fitted(Shape.Gamma.class, quantiles(new Shape.Gamma(3, 0.5), N));
        assertThat(gamma.shapeParameter()).isCloseTo(3, within(0.1));
        assertThat(gamma.scale()).isCloseTo(0.5, within(0.02));
        Shape.Weibull weibull = fitted(Shape.Weibull.class, quantiles(new Shape.Weibull(2.2, 8), N));
        assertThat(weibull.shapeParameter()).isCloseTo(2.2, within(0.05));
        assertThat(weibull.scale()).isCloseTo(8, within(0.05));
        Shape.Pert pert = fitted(Shape.Pert.class, quantiles(new Shape.Pert(10, 14, 30, 4), 2000));
        assertThat(pert.low()).isCloseTo(10, within(0.2));
        assertThat(pert.likely()).isCloseTo(14, within(0.2));
        assertThat(pert.high()).isCloseTo(30, within(0.6));
        Shape.Triangular triangular = fitted(Shape.Triangular.class, quantiles(new Shape.Triangular(4, 5, 14), N));
        assertThat(triangular.low()).isCloseTo(4, within(0.1));
        assertThat(triangular.likely()).isCloseTo(5, within(0.3));
        assertThat(triangular.high()).isCloseTo(14, within(0.1));
    }

    /** No parameter nearby makes the data more likely: what maximum likelihood means. */
    @Test
    void noNeighbourIsMoreLikely() {
        double[] data = {0.81, 0.93, 0.97, 1.0, 1.04, 1.1, 1.13, 1.2, 1.32, 1.41, 1.55, 1.9, 2.3};
        Shape.Weibull weibull = fitted(Shape.Weibull.class, data);
        Shape.Gamma gamma = fitted(Shape.Gamma.class, data);
        for (double factor : new double[] {0.99, 1.01}) {
            assertThat(likelihood(new Shape.Weibull(weibull.shapeParameter() * factor, weibull.scale()), data))
                    .isLessThan(likelihood(weibull, data));
            assertThat(likelihood(new Shape.Weibull(weibull.shapeParameter(), weibull.scale() * factor), data))
                    .isLessThan(likelihood(weibull, data));
            assertThat(likelihood(new Shape.Gamma(gamma.shapeParameter() * factor, gamma.scale()), data))
                    .isLessThan(likelihood(gamma, data));
            assertThat(likelihood(new Shape.Gamma(gamma.shapeParameter(), gamma.scale() * factor), data))
                    .isLessThan(likelihood(gamma, data));
        }
    }

    private static double likelihood(Shape shape, double[] data) {
        Distribution distribution = Distributions.of(shape, 1);
        return IntStream.range(0, data.length)
                .mapToDouble(i -> Math.log(distribution.density(data[i])))
                .sum();
    }

    /** Three values and their fitted normal, worked out by the definitions. */
    @Test
    void statisticsOfFitFollowTheirDefinitions() {
        Fit fit = Fitting.ranked(new double[] {1, 2, 3}).stream()
                .filter(f -> f.shape() instanceof Shape.Normal)
                .findFirst()
                .orElseThrow();
        double sd = Math.sqrt(2.0 / 3);
        Distribution normal = NormalDistribution.of(2, sd);
        double tail = normal.cumulative(1);
        assertThat(fit.kolmogorovSmirnov()).isCloseTo(1.0 / 3 - tail, within(1e-9));
        double sum = Math.log(tail) * 2 + 3 * 2 * Math.log(0.5) + 5 * 2 * Math.log(1 - tail);
        assertThat(fit.andersonDarling()).isCloseTo(-3 - sum / 3, within(1e-9));
        assertThat(fit.aic()).isCloseTo(4 - 2 * likelihood(fit.shape(), new double[] {1, 2, 3}), within(1e-9));
    }

    @Test
    void pairsOfPlannedAndActualBecomeRatios() {
        assertThat(Fitting.ratios(new double[] {10, 4}, new double[] {12, 3})).containsExactly(1.2, 0.75);
        assertThatThrownBy(() -> Fitting.ratios(new double[] {10, 0}, new double[] {12, 3}))
                .hasMessageContaining("planned value 2");
        assertThatThrownBy(() -> Fitting.ratios(new double[] {10}, new double[] {12, 3}))
                .hasMessageContaining("1 planned values and 2 actual");
    }

    @Test
    void whatCannotBeFittedIsRefused() {
        assertThatThrownBy(() -> Fitting.ranked(new double[] {1, 2})).hasMessageContaining("at least 3");
        assertThatThrownBy(() -> Fitting.ranked(new double[] {2, 2, 2})).hasMessageContaining("the same");
        assertThatThrownBy(() -> Fitting.ranked(new double[] {2, Double.NaN, 3}))
                .hasMessageContaining("must be a number");
        assertThat(Fitting.ranked(new double[] {-1, 0, 2, 3, 5}))
                .as("shapes above zero are left out")
                .hasSize(3);
    }
}
