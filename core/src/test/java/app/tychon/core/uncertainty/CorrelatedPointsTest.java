package app.tychon.core.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CorrelatedPointsTest {
    @ParameterizedTest
    @ValueSource(doubles = {-0.8, 0, 0.3, 0.6, 0.95})
    void theChancesCorrelateAsAsked(double rank) {
        int count = 20_000;
        double[][] points = CorrelatedPoints.of(rank, count);
        // Both coordinates are uniform, so that Pearson's coefficient of the chances is Spearman's.
        double sum = Arrays.stream(points)
                .mapToDouble(p -> (p[0] - 0.5) * (p[1] - 0.5))
                .sum();
        assertThat(12 * sum / count).isCloseTo(rank, within(4 / Math.sqrt(count)));
    }

    @Test
    void aCoefficientBeyondOneIsRefused() {
        assertThatThrownBy(() -> CorrelatedPoints.of(1.2, 10)).hasMessageContaining("between -1 and 1");
    }
}
