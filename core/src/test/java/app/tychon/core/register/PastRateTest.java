package app.tychon.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.model.Basis;
import app.tychon.core.model.PastEvents;
import app.tychon.core.model.PastEvents.Event;
import app.tychon.core.model.Shape;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class PastRateTest {
    private static PastEvents told(double years, int count, double mean, double sd) {
        return new PastEvents(years, count, Basis.DAYS, mean, sd, List.of());
    }

    /** Exact limits of a Poisson mean of ten events: 4.795 and 18.39 (Garwood's table). */
    @Test
    void theIntervalOfTheRateIsExact() {
        PastRate rate = PastRate.of(told(4, 10, 2, 1));
        assertThat(rate.perYear()).isEqualTo(2.5);
        assertThat(rate.low()).isCloseTo(4.7954 / 4, within(1e-4));
        assertThat(rate.high()).isCloseTo(18.3904 / 4, within(1e-4));
    }

    @Test
    void whatNeverHappenedMayStillComeThreeTimesInAsLong() {
        PastRate rate = PastRate.of(told(1, 0, 0, 0));
        assertThat(rate.low()).isZero();
        assertThat(rate.high()).isCloseTo(-Math.log(0.025), within(1e-6));
        assertThat(rate.sizes()).isEmpty();
    }

    @Test
    void sizesAreFittedToEventsOrMadeOfMeanAndSpread() {
        assertThat(PastRate.of(told(4, 10, 2, 1)).sizes()).containsExactly(new Shape.Lognormal(2, 1));
        assertThat(PastRate.of(told(4, 10, 2, 0)).sizes()).containsExactly(new Shape.Fixed(2));
        List<Event> events = DoubleStream.of(1, 1.5, 2, 2, 2.5, 3, 4, 6)
                .mapToObj(amount -> new Event(Optional.empty(), amount))
                .toList();
        assertThat(PastRate.of(new PastEvents(4, 8, Basis.DAYS, 0, 0, events)).sizes())
                .hasSize(6);
    }
}
