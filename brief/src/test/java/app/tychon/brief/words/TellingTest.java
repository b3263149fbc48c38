package app.tychon.brief.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Brief.Days;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TellingTest {
    private final Telling english = new Telling("en-GB", Days.WORKING, "EUR");

    @ParameterizedTest
    @CsvSource({
        "0, €0",
        "940, €940",
        "7850, €7.9k",
        "9000, €9k",
        "14000, €14k",
        "95900, €96k",
        "740400, €740k",
        "999700, €1.00m",
        "4396000, €4.40m",
        "51400000, €51.4m",
        "740400000, €740m",
        "3210000000, €3.21bn",
        "-40700, -€41k"
    })
    void moneyIsToldToThreeFigures(double amount, String words) {
        assertThat(english.money(amount)).isEqualTo(words);
    }

    @Test
    void moneyIsWrittenAsItsLanguageWritesIt() {
        Telling german = new Telling("de-DE", Days.WORKING, "EUR");
        assertThat(german.money(4_396_000).replace('\u00a0', ' ')).isEqualTo("4,40 Mio. €");
        assertThat(german.money(740_400).replace('\u00a0', ' ')).isEqualTo("740.400 €");
    }

    @Test
    void aCurrencyThatNobodyKnowsIsWrittenByItsCode() {
        assertThat(new Telling("en-GB", Days.WORKING, "QQQ").money(12_000))
                .contains("QQQ")
                .contains("12k");
    }

    @Test
    void datesAreWrittenAsTheirLanguageWritesThem() {
        double day = Instants.of(LocalDateTime.of(2028, 10, 24, 17, 0));
        assertThat(english.date(day)).isEqualTo("24 October 2028");
        assertThat(new Telling("en-US", Days.WORKING, "USD").date(day)).isEqualTo("October 24, 2028");
        assertThat(new Telling("fr-FR", Days.WORKING, "EUR").date(day)).isEqualTo("24 octobre 2028");
    }

    @Test
    void daysSayWhichDaysTheyAre() {
        assertThat(english.days(74.4, 106)).isEqualTo("74 working days");
        assertThat(english.days(-1, -1)).isEqualTo("1 working day");
        assertThat(english.days(7.44, 9)).isEqualTo("7.4 working days");
        assertThat(new Telling("en-GB", Days.CALENDAR, "EUR").days(74.4, 106)).isEqualTo("106 days");
    }

    @ParameterizedTest
    @CsvSource({
        "0, none",
        "10000, all",
        "3, fewer than one in a thousand",
        "20, two in a thousand",
        "130, one in a hundred",
        "7100, 71 in a hundred",
        "9970, all but three in a thousand",
        "9998, all but fewer than one in a thousand"
    })
    void chancesAreToldAsHowManyFutures(long futures, String words) {
        assertThat(english.often(futures, 10_000)).isEqualTo(words);
    }
}
