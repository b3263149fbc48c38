package app.tychon.exchange.costs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Instalment.End;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Resource.Per;
import app.tychon.core.model.Resource.RateFrom;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Money, payments, crews and rates as people write them. */
class MoneyTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "84000 | 84000",
                "84,000 | 84000",
                "84.000,00 | 84000",
                "84 000 | 84000",
                "84'000.50 | 84000.5",
                "84k | 84000",
                "1.2m | 1200000",
                "1,2 m | 1200000",
                "€84k | 84000",
                "EUR 84,000.50 | 84000.5",
                "84.000 | 84000",
                "2,5 | 2.5",
                "0.125 | 0.125",
                "1,234,567 | 1234567",
                "(1,200) | -1200",
                "-8 | -8",
                "\u22128k | -8000"
            })
    void anyUsualNotationIsRead(String text, double amount) {
        assertThat(MoneyText.read(text, "EUR")).isCloseTo(amount, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"$84k", "USD 84,000", "84,000 CHF", "£1m"})
    void anotherCurrencyIsRefused(String text) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MoneyText.read(text, "EUR"))
                .withMessageContaining("amounts of this project are in EUR");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "much", "84..5k", "12 34", "k"})
    void whatIsNoAmountIsRefused(String text) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MoneyText.read(text, "EUR"))
                .withMessageContaining("no amount");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"evenly", "start", "finish", "30 % on 2027-05-01; 70 % at E80", "25 % at E80 start; 75 % at W"})
    void paymentsAreReadAsTheyAreWritten(String text) {
        PaymentText.Payment payment = PaymentText.read(text, code -> code);
        CostLine line =
                CostLine.of("K", "Fee", "A", 1).withTiming(payment.timing()).withInstalments(payment.instalments());
        assertThat(PaymentText.of(line)).isEqualTo(text);
    }

    @Test
    void paymentsMayBeSaidInOtherWords() {
        assertThat(PaymentText.read("At the finish", code -> code).timing()).isEqualTo(CostTiming.FINISH);
        assertThat(PaymentText.read("40% when start of E80; 60 1 June 2027", code -> code)
                        .instalments())
                .containsExactly(Instalment.at(0.4, "E80", End.START), Instalment.onDay(0.6, LocalDate.of(2027, 6, 1)));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> PaymentText.read("sometime", code -> code))
                .withMessageContaining("does not say when");
    }

    @Test
    void crewsAreReadByCodeOrName() {
        Plan plan = new PlanBuilder()
                .task("A", 5)
                .task("B", 5)
                .resource(new Resource("crew", "Summit crew", 100, Per.DAY))
                .resource(new Resource("optics", "Optical engineers", 50, Per.HOUR))
                .build();
        List<Assignment> crew = CrewText.read("Summit crew 0.5; optics 2", "A", plan);
        assertThat(crew).containsExactly(new Assignment("A", "crew", 0.5), new Assignment("A", "optics", 2));
        assertThat(CrewText.of(crew)).isEqualTo("crew 0.5; optics 2");
        assertThat(CrewText.read("crew 50 %", "A", plan)).containsExactly(new Assignment("A", "crew", 0.5));
        assertThat(CrewText.readPlaces("A; B 0.25", "crew", plan))
                .containsExactly(new Assignment("A", "crew", 1), new Assignment("B", "crew", 0.25));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> CrewText.read("divers 2", "A", plan))
                .withMessageContaining("no resource \"divers\"; there are crew, optics");
    }

    @Test
    void ratesMayChangeFromADayOn() {
        RateText.Rates rates = RateText.read("1,950; 2050 from 2028-01-01", "EUR");
        assertThat(rates.rate()).isEqualTo(1950);
        assertThat(rates.rates()).containsExactly(new RateFrom(LocalDate.of(2028, 1, 1), 2050));
        Resource crew = new Resource("crew", "Crew", 1950, Per.DAY).withRates(rates.rates());
        assertThat(RateText.of(crew)).isEqualTo("1950; 2050 from 2028-01-01");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> RateText.read("1950; 2050", "EUR"))
                .withMessageContaining("does not say from when");
    }
}
