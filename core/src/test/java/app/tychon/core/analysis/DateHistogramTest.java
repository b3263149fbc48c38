package app.tychon.core.analysis;

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
        Histogram histogram = DateSample.histogram(hourly(20));
        assertThat(histogram.width()).isEqualTo(Instants.DAY);
        assertThat(Instants.toCivil(histogram.low())).isEqualTo("2027-03-03T00:00");
        assertThat(histogram.counts()[1]).isEqualTo(24);
        assertThat(Arrays.stream(histogram.counts()).sum()).isEqualTo(20 * 24);
    }

    @Test
    void longerRangesHaveWeeksFromMondayOrMore() {
        Histogram weeks = DateSample.histogram(hourly(200));
        assertThat(weeks.width()).isEqualTo(7.0 * Instants.DAY);
        assertThat(Instants.toCivil(weeks.low()).getDayOfWeek()).isEqualTo(DayOfWeek.MONDAY);
        Histogram quarters = DateSample.histogram(hourly(4000));
        assertThat(quarters.width()).isEqualTo(91.0 * Instants.DAY);
        assertThat(quarters.counts()).hasSizeLessThanOrEqualTo(60);
    }

    @Test
    void aSingleInstantFillsASingleBin() {
        Sample one = Sample.of(new double[] {Instants.of(LocalDateTime.parse("2027-03-03T17:00"))});
        assertThat(DateSample.histogram(one).counts()).containsExactly(1);
    }

    @Test
    void binsTooNarrowForTheRangeAreRefused() {
        Sample sample = hourly(2);
        assertThatThrownBy(() -> Histogram.aligned(sample, 0, 1)).hasMessageContaining("too narrow");
    }
}
