package app.tychon.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.calendar.Instants;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class DateHistogramTest {
    private static Sample hourly(int days) {
        double start = Instants.of(LocalDateTime.parse("2027-03-03T10:00"));
        return Sample.of(IntStream.range(0, days * 24)
                .mapToDouble(hour -> start + hour * 60.0)
                .toArray());
    }

    @Test
    void binsAreWholeDaysWhileThereIsRoom() {
        Histogram histogram = DateSample.histogram(hourly(20), DateSample.USUAL_BINS);
        assertThat(histogram.width()).isEqualTo(Instants.DAY);
        assertThat(Instants.toCivil(histogram.low())).isEqualTo("2027-03-03T00:00");
        assertThat(histogram.counts()[1]).isEqualTo(24);
        assertThat(Arrays.stream(histogram.counts()).sum()).isEqualTo(20 * 24);
    }

    @Test
    void longerRangesHaveWeeksFromMondayOrMore() {
        Histogram weeks = DateSample.histogram(hourly(200), DateSample.USUAL_BINS);
        assertThat(weeks.width()).isEqualTo(7.0 * Instants.DAY);
        assertThat(Instants.toCivil(weeks.low()).getDayOfWeek()).isEqualTo(DayOfWeek.MONDAY);
        Histogram quarters = DateSample.histogram(hourly(4000), DateSample.USUAL_BINS);
        assertThat(quarters.width()).isEqualTo(91.0 * Instants.DAY);
        assertThat(quarters.counts()).hasSizeLessThanOrEqualTo(60);
    }

    @Test
    void fewerBinsAreWiderByWholeWeeks() {
        for (int most : new int[] {5, 10, 20, 40, 200}) {
            Histogram histogram = DateSample.histogram(hourly(200), most);
            assertThat(histogram.counts()).hasSizeLessThanOrEqualTo(most);
            assertThat(Arrays.stream(histogram.counts()).sum()).isEqualTo(200 * 24);
            if (most < 200) {
                assertThat(histogram.width() % (7 * Instants.DAY)).isZero();
            }
        }
    }

    @Test
    void aSingleInstantFillsASingleBin() {
        Sample one = Sample.of(new double[] {Instants.of(LocalDateTime.parse("2027-03-03T17:00"))});
        assertThat(DateSample.histogram(one, DateSample.USUAL_BINS).counts()).containsExactly(1);
    }

    @Test
    void binsTooNarrowForTheRangeAreRefused() {
        Sample sample = hourly(2);
        assertThatThrownBy(() -> Histogram.aligned(sample, 0, 1)).hasMessageContaining("too narrow");
    }
}
