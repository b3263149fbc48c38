package app.tychon.core.simulation.draws;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.simulation.settings.Sampling;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DrawsTest {
    private static double[] draws(Sampling sampling, long seed, String identity, int n) {
        double[] all = new double[n];
        double[] some = new double[Batch.WIDTH];
        for (int first = 0; first < n; first += Batch.WIDTH) {
            int count = Math.min(Batch.WIDTH, n - first);
            new Draws(seed, sampling)
                    .fill(RandomStream.of(RandomStream.Role.DURATION, identity), first, count, some, new Scratch());
            System.arraycopy(some, 0, all, first, count);
        }
        return all;
    }

    /** Known answers published with the generator (kat_vectors of Random123). */
    @Test
    void philoxGivesItsPublishedAnswers() {
        assertThat(philox(0, 0, 0, 0, 0, 0)).containsExactly(0x6627e8d5, 0xe169c58d, 0xbc57ac4c, 0x9b00dbd8);
        assertThat(philox(-1, -1, -1, -1, -1, -1)).containsExactly(0x408f276d, 0x41c83b0e, 0xa20bc7c6, 0x6d5451fd);
        assertThat(philox(0x243f6a88, 0x85a308d3, 0x13198a2e, 0x03707344, 0xa4093822, 0x299f31d0))
                .containsExactly(0xd16cfe09, 0x94fdcceb, 0x5001e420, 0x24126ea1);
    }

    @Test
    void theSecondOfAPairIsThatOfTheNextCounter() {
        for (int counter : new int[] {0, 1, 77, -1, Integer.MAX_VALUE}) {
            int[] pair = new int[8];
            Philox.generatePair(counter, 5, 6, 7, 8, 9, pair, 0);
            assertThat(Arrays.copyOfRange(pair, 4, 8)).isEqualTo(philox(counter + 1, 5, 6, 7, 8, 9));
        }
    }

    private static int[] philox(int c0, int c1, int c2, int c3, int k0, int k1) {
        int[] out = new int[8];
        Philox.generatePair(c0, c1, c2, c3, k0, k1, out, 0);
        return Arrays.copyOf(out, 4);
    }

    @Test
    void aHypercubeHitsEveryStratumOfItsBlockOnce() {
        double[] draws = draws(Sampling.LATIN, 42, "A", 3 * Draws.BLOCK);
        for (int block = 0; block < 3; block++) {
            Set<Integer> strata = new HashSet<>();
            for (int i = 0; i < Draws.BLOCK; i++) {
                strata.add((int) (draws[block * Draws.BLOCK + i] * Draws.BLOCK));
            }
            assertThat(strata).hasSize(Draws.BLOCK);
        }
    }

    @Test
    void drawsLieStrictlyBetweenNoughtAndOneAndFillTheInterval() {
        for (Sampling sampling : Sampling.values()) {
            double[] draws = draws(sampling, 7, "A", 100_000);
            double sum = 0;
            double squares = 0;
            for (double u : draws) {
                assertThat(u).isGreaterThan(0).isLessThan(1);
                sum += u;
                squares += u * u;
            }
            double mean = sum / draws.length;
            // Four standard errors of the plain sampler: sigma = 1/sqrt(12).
            assertThat(mean).isCloseTo(0.5, within(4 * Math.sqrt(1 / 12.0 / draws.length)));
            assertThat(squares / draws.length).isCloseTo(1 / 3.0, within(4 * Math.sqrt(4 / 45.0 / draws.length)));
        }
    }

    /** The correlation of independent streams has standard error 1/sqrt(n); over many pairs its spread must show that. */
    @Test
    void streamsAreIndependentOfOneAnother() {
        int n = 2000;
        int streams = 60;
        double[][] draws = new double[streams][];
        for (int s = 0; s < streams; s++) {
            draws[s] = draws(Sampling.LATIN, 1, "A" + s, n);
        }
        double squares = 0;
        int pairs = 0;
        double worst = 0;
        for (int a = 0; a < streams; a++) {
            for (int b = a + 1; b < streams; b++) {
                double r = correlation(draws[a], draws[b]);
                squares += r * r;
                worst = Math.max(worst, Math.abs(r));
                pairs++;
            }
        }
        assertThat(squares / pairs * n).isCloseTo(1, within(4 * Math.sqrt(2.0 / pairs)));
        assertThat(worst * Math.sqrt(n)).isLessThan(5);
    }

    private static double correlation(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += (a[i] - 0.5) * (b[i] - 0.5);
        }
        return sum / a.length * 12;
    }

    @Test
    void aDrawDependsOnSeedStreamAndIterationAlone() {
        double[] whole = draws(Sampling.LATIN, 5, "A", 1000);
        double[] part = new double[Batch.WIDTH];
        new Draws(5, Sampling.LATIN)
                .fill(RandomStream.of(RandomStream.Role.DURATION, "A"), 700, 100, part, new Scratch());
        assertThat(part[17]).isEqualTo(whole[717]);
        assertThat(draws(Sampling.LATIN, 6, "A", 1)[0]).isNotEqualTo(whole[0]);
        assertThat(draws(Sampling.LATIN, 5, "B", 1)[0]).isNotEqualTo(whole[0]);
        assertThat(RandomStream.of(RandomStream.Role.COST, "A"))
                .isNotEqualTo(RandomStream.of(RandomStream.Role.DURATION, "A"));
    }
}
