package app.tychon.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RankingTest {
    /** Values of many kinds: spread evenly, with a long tail, few that are different, nearly all in one place, all the same. */
    static Stream<double[]> samples() {
        Random random = new Random(1);
        int n = 3_000;
        return Stream.of(
                random.doubles(n).toArray(),
                random.doubles(n).map(u -> Math.exp(20 * u)).toArray(),
                random.doubles(n).map(u -> Math.floor(7 * u)).toArray(),
                random.doubles(n).map(u -> u < 0.999 ? 1e-9 * u : 1e9).toArray(),
                random.doubles(n).map(u -> u < 0.5 ? -0.0 : 0.0).toArray(),
                IntStream.range(0, n).mapToDouble(i -> -i).toArray(),
                new double[] {Double.MIN_VALUE, 0, 2 * Double.MIN_VALUE},
                new double[] {4});
    }

    @ParameterizedTest
    @MethodSource("samples")
    void isTheAscendingOrderAndRanksCountWhatIsLess(double[] values) {
        Ranking ranking = Ranking.of(values);
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        for (int place = 0; place < values.length; place++) {
            assertThat(values[ranking.at(place)]).isEqualTo(sorted[place] + 0.0);
        }
        assertThat(IntStream.range(0, values.length).map(ranking::at).sorted())
                .containsExactlyElementsOf(
                        IntStream.range(0, values.length).boxed().toList());
        double[] ranks = ranking.ranks();
        for (int i = 0; i < values.length; i += 97) {
            double value = values[i];
            long less = Arrays.stream(values).filter(v -> v < value).count();
            long equal = Arrays.stream(values).filter(v -> v == value).count();
            assertThat(ranks[i]).isEqualTo(less + (equal + 1) / 2.0);
        }
    }

    @Test
    void equalValuesHaveTheirEnds() {
        Ranking ranking = Ranking.of(new double[] {5, 1, 5, 5, 9});
        assertThat(ranking.startOfEqual(2)).isEqualTo(1);
        assertThat(ranking.endOfEqual(1)).isEqualTo(4);
        assertThat(IntStream.range(0, 5).map(ranking::at)).containsExactly(1, 0, 2, 3, 4);
    }

    @Test
    void whatIsCentredCorrelatesAsDefined() {
        Centred x = Centred.of(new double[] {1, 2, 3, 4, 5});
        Centred y = Centred.of(new double[] {2, 1, 4, 3, 5});
        assertThat(x.mean()).isEqualTo(3);
        assertThat(x.deviation()).isEqualTo(Math.sqrt(2.5));
        assertThat(x.correlation(y)).hasValue(0.8);
        Centred same = Centred.of(new double[] {0.1, 0.1, 0.1, 0.1, 0.1});
        assertThat(same.varies()).isFalse();
        assertThat(x.correlation(same)).isEmpty();
    }
}
