package app.tychon.exchange.risks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.Risks;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scheme;
import app.tychon.core.register.StarterScheme;
import app.tychon.exchange.risks.ChanceText.Chance;
import java.util.Optional;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ChanceTextTest {
    private static final Optional<Scheme> SCHEME = Optional.of(StarterScheme.of(400, 4_000_000));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "30 | 0.3",
                "30 % | 0.3",
                "12.5% | 0.125",
                "12,5 | 0.125",
                "1 in 20 | 0.05",
                "3 out of 4 | 0.75",
                "unlikely | 0.1",
                "Almost sure | 0.825"
            })
    void chancesAreReadAsPeopleWriteThem(String text, double chance) {
        assertThat(ChanceText.read(text, SCHEME)).isEqualTo(new Chance(chance, Optional.empty()));
    }

    @Test
    void ratesAreTimesAYear() {
        assertThat(ChanceText.read("2.5 a year", SCHEME)).isEqualTo(new Chance(1, Optional.of(2.5)));
        assertThat(ChanceText.read("2,5/year", SCHEME)).isEqualTo(new Chance(1, Optional.of(2.5)));
        assertThat(ChanceText.read("40 %, 2 per year", SCHEME)).isEqualTo(new Chance(0.4, Optional.of(2.0)));
    }

    /** A third has more digits than anybody writes, and one in a billion more noughts. */
    @Test
    void whatIsWrittenIsReadAsTheSameToTheLastDigit() {
        Random random = new Random(11);
        double[] some = DoubleStream.concat(
                        DoubleStream.of(0, 1, 1.0 / 3, 1e-9, 1e-300, Math.nextDown(1.0)),
                        random.doubles(500).map(x -> Math.pow(x, 1 + random.nextInt(9))))
                .toArray();
        for (double probability : some) {
            Risk once = Risks.threat("R1", probability).risk();
            assertThat(ChanceText.read(ChanceText.of(once), Optional.empty()).in(once))
                    .isEqualTo(once);
            Risk often = once.withRecurrence(Optional.of(new Recurrence.PerYear(9 * probability, Optional.empty())));
            assertThat(ChanceText.read(ChanceText.of(often), Optional.empty()).in(often))
                    .isEqualTo(often);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"130", "-5", "3 in 2", "often", "1 in 0", ""})
    void whatIsNoChanceIsRefused(String text) {
        assertThatThrownBy(() -> ChanceText.read(text, SCHEME)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aRefusalNamesTheWordsOfTheScheme() {
        assertThatThrownBy(() -> ChanceText.read("often", SCHEME)).hasMessageContaining("rare, unlikely, possible");
        assertThatThrownBy(() -> ChanceText.read("130", SCHEME)).hasMessageContaining("this is 130 %");
    }
}
