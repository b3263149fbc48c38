package app.tychon.core.statistics;

import static app.tychon.core.PlanBuilder.fiveDayWeek;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SampleTest {
    private static final Sample TEN = Sample.of(new double[] {1, 2, 3, 4, 5, 6, 7, 8, 9, 10});

    @Test
    void percentilesAreOfTypeSeven() {
        assertThat(TEN.percentile(0)).isEqualTo(1);
        assertThat(TEN.percentile(0.25)).isEqualTo(3.25);
        assertThat(TEN.percentile(0.5)).isEqualTo(5.5);
        assertThat(TEN.percentile(0.8)).isCloseTo(8.2, within(1e-12));
        assertThat(TEN.percentile(1)).isEqualTo(10);
        assertThatThrownBy(() -> TEN.percentile(1.2)).hasMessageContaining("1.2");
    }

    @Test
    void theChanceOfAValueIsTheInverseOfThePercentile() {
        Sample sample = Sample.of(new Random(3).doubles(997).toArray());
        for (double level = 0; level <= 1; level += 0.0137) {
            assertThat(sample.chance(sample.percentile(level))).isCloseTo(level, within(1e-9));
        }
        assertThat(TEN.chance(0.9)).isZero();
        assertThat(TEN.chance(10)).isOne();
    }

    @Test
    void repeatedValuesAllCountAsReached() {
        Sample sample = Sample.of(new double[] {1, 2, 2, 2, 3});
        assertThat(sample.chance(2)).isEqualTo(0.75);
    }

    @Test
    void momentsOfASmallSample() {
        Sample sample = Sample.of(new double[] {2, 4, 4, 4, 5, 5, 7, 9});
        assertThat(sample.mean()).isEqualTo(5);
        assertThat(sample.standardDeviation()).isCloseTo(Math.sqrt(32 / 7.0), within(1e-12));
        assertThat(sample.skewness()).isCloseTo(0.65625, within(1e-12));
        assertThat(sample.kurtosis()).isCloseTo(2.78125, within(1e-12));
        assertThat(Sample.of(new double[] {5}).standardDeviation()).isZero();
        assertThatThrownBy(() -> Sample.of(new double[0])).hasMessageContaining("at least one");
    }

    /** The interval must hold the true percentile in about 95 of 100 samples: here at least 93 of 100 on 4000 of them. */
    @Test
    void theIntervalHoldsTheTruthAsOftenAsItSays() {
        Random random = new Random(9);
        int held = 0;
        int trials = 4000;
        for (int i = 0; i < trials; i++) {
            PercentileInterval interval =
                    Sample.of(random.doubles(500).toArray()).percentileWithInterval(0.8);
            held += interval.low() <= 0.8 && 0.8 <= interval.high() ? 1 : 0;
        }
        double share = (double) held / trials;
        assertThat(share).isBetween(0.95 - 4 * Math.sqrt(0.95 * 0.05 / trials), 0.975);
    }

    @Test
    void histogramsCountEveryValueOnce() {
        Histogram histogram = Histogram.of(TEN, 3);
        assertThat(histogram.counts()).containsExactly(3, 3, 4);
        assertThat(histogram.width()).isEqualTo(3);
        assertThat(Histogram.of(Sample.of(new double[] {4, 4}), 20).counts()).containsExactly(2);
        assertThatThrownBy(() -> Histogram.of(TEN, 0)).hasMessageContaining("not 0");
    }

    @Test
    void theKernelDensityHasMassOneAndItsModeWhereTheValuesCrowd() {
        Random random = new Random(4);
        double[] values = random.doubles(20_000).map(u -> 10 + Math.sqrt(u) * 6).toArray();
        KernelDensity density = KernelDensity.of(Sample.of(values), 256);
        assertThat(Arrays.stream(density.density()).sum() * density.step()).isCloseTo(1, within(0.01));
        assertThat(density.mode()).isBetween(15.0, 16.0);
        assertThat(KernelDensity.of(Sample.of(new double[] {3, 3}), 16).mode()).isEqualTo(3);
    }

    @Test
    void noPercentileOfADateFallsInAWeekend() {
        double friday = Instants.of(LocalDateTime.parse("2027-03-05T16:00"));
        double monday = Instants.of(LocalDateTime.parse("2027-03-08T10:00"));
        Sample sample = DateSample.of(
                new double[] {friday, monday}, WorkingTimes.of(fiveDayWeek("w"), LocalDate.of(2027, 3, 1)));
        assertThat(Instants.toCivil(sample.percentile(0.2))).isEqualTo("2027-03-05T16:36");
        assertThat(Instants.toCivil(sample.percentile(0.5))).isEqualTo("2027-03-08T08:30");
        assertThat(sample.chance(sample.percentile(0.5))).isCloseTo(0.5, within(1e-9));
    }

    /** Between futures that end in a weekend, round the clock, nothing of the week is worked: the earlier of them counts. */
    @Test
    void betweenTwoDatesWithoutWorkBetweenThemTheEarlierCounts() {
        WorkingTime week = WorkingTimes.of(fiveDayWeek("w"), LocalDate.of(2027, 3, 1));
        double[] ends = Stream.of("2027-03-05T17:00", "2027-03-06T08:00", "2027-03-07T09:30", "2027-03-08T08:00")
                .mapToDouble(end -> Instants.of(LocalDateTime.parse(end)))
                .toArray();
        Sample sample = DateSample.of(ends, week);
        for (int p = 0; p <= 100; p++) {
            double percentile = sample.percentile(p / 100.0);
            assertThat(ends).as("P%d is the end of a future", p).contains(percentile);
            assertThat(sample.chance(percentile)).isGreaterThanOrEqualTo(p / 100.0 - 1e-9);
        }
        assertThat(sample.percentile(0.2)).isEqualTo(ends[0]);
        assertThat(sample.percentile(0.5)).isEqualTo(ends[1]);
    }

    /** Of 400 at a chance of a half: 1.96 × 0.5 / 20 a little drawn in; at none, what three in 400 would still allow. */
    @Test
    void theErrorOfAChanceIsThatOfAShare() {
        Sample sample = Sample.of(new double[400]);
        assertThat(sample.chanceError(0.5)).isCloseTo(0.0488, within(1e-4));
        assertThat(sample.chanceError(0)).isCloseTo(0.00476, within(1e-4));
        assertThat(sample.chanceError(0.2)).isEqualTo(sample.chanceError(0.8));
    }

    /** Of a short project whose finishes are normal in working time: one hill, all of the chance, no weekly ripples. */
    @Test
    void theDensityOfDatesHasNoRipplesOfTheWorkingWeek() {
        WorkingTime time = WorkingTimes.of(PlanBuilder.fiveDayWeek("std"), LocalDate.of(2027, 3, 1));
        double start = time.work(Instants.of(LocalDateTime.of(2027, 3, 29, 8, 0)));
        Random random = new Random(5);
        double[] finishes = new double[20_000];
        for (int i = 0; i < finishes.length; i++) {
            finishes[i] = time.finishInstant(start + 480 * (10 + 4 * random.nextGaussian()));
        }
        Sample sample = DateSample.of(finishes, time);
        KernelDensity density = DateSample.density(sample, time, 200);
        double[] heights = density.density();
        double mass = Arrays.stream(heights).sum() * density.step();
        assertThat(mass).isCloseTo(1, within(0.01));
        double tallest = Arrays.stream(heights).max().orElseThrow();
        assertThat(hills(heights, tallest / 100)).isEqualTo(1);
        assertThat(hills(KernelDensity.of(sample, 200).density(), tallest / 100))
                .as("on the clock the weekends show")
                .isGreaterThan(2);
        double mode = DateSample.mode(sample, time, 512);
        assertThat(time.work(mode)).isCloseTo(start + 480 * 10, within(480.0));
    }

    /** Rises that follow a fall, neither of them smaller than what does not count. */
    private static int hills(double[] heights, double least) {
        int hills = 1;
        double top = heights[0];
        double valley = heights[0];
        for (double height : heights) {
            if (top - valley > least && height - valley > least) {
                hills++;
                top = height;
                valley = height;
            } else if (height > top) {
                top = height;
                valley = height;
            } else {
                valley = Math.min(valley, height);
            }
        }
        return hills;
    }
}
