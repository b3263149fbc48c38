package app.tychon.core.simulation.risk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TimesTest {
    @Test
    void poissonNumbersHaveTheirProbabilities() {
        // P(N <= 2) for a mean of 3 is e^-3 (1 + 3 + 4.5).
        double upToTwo = Math.exp(-3) * 8.5;
        assertThat(Times.Poisson.number(3, upToTwo - 1e-9)).isEqualTo(2);
        assertThat(Times.Poisson.number(3, upToTwo + 1e-9)).isEqualTo(3);
        assertThat(Times.Poisson.number(0, 0.999)).isZero();
        assertThat(Times.Poisson.number(700, 0.5)).isBetween(699, 701);
    }
}
