package app.tychon.core.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.junit.jupiter.api.Test;

class NearestCorrelationTest {
    /** The example of Higham (2002), section 4, with his answer to four places. */
    @Test
    void findsThePublishedAnswer() {
        double[][] nearest = NearestCorrelation.of(new double[][] {{1, 1, 0}, {1, 1, 1}, {0, 1, 1}});
        assertThat(nearest[1][0]).isCloseTo(0.7607, within(5e-5));
        assertThat(nearest[2][0]).isCloseTo(0.1573, within(5e-5));
        assertThat(nearest[2][1]).isCloseTo(0.7607, within(5e-5));
    }

    @Test
    void isPossibleAndLeavesPossibleOnesAlone() {
        Random random = new Random(5);
        for (int trial = 0; trial < 30; trial++) {
            double[][] matrix = symmetric(2 + random.nextInt(9), random);
            double[][] nearest = NearestCorrelation.of(matrix);
            EigenDecompositionSymmetric eigen = new EigenDecompositionSymmetric(new Array2DRowRealMatrix(nearest));
            for (double value : eigen.getEigenvalues()) {
                assertThat(value).isGreaterThan(-1e-9);
            }
            assertThat(NearestCorrelation.isPossible(nearest)).isTrue();
            double[][] again = NearestCorrelation.of(nearest);
            for (int i = 0; i < nearest.length; i++) {
                assertThat(nearest[i][i]).isEqualTo(1);
                for (int j = 0; j < i; j++) {
                    assertThat(again[i][j]).isCloseTo(nearest[i][j], within(1e-6));
                }
            }
        }
    }

    private static double[][] symmetric(int size, Random random) {
        double[][] matrix = new double[size][size];
        for (int i = 0; i < size; i++) {
            matrix[i][i] = 1;
            for (int j = 0; j < i; j++) {
                matrix[i][j] = 2 * random.nextDouble() - 1;
                matrix[j][i] = matrix[i][j];
            }
        }
        return matrix;
    }

    @Test
    void knowsWhatIsPossible() {
        assertThat(NearestCorrelation.isPossible(new double[][] {{1, 0.9, -0.9}, {0.9, 1, 0.9}, {-0.9, 0.9, 1}}))
                .isFalse();
        assertThat(NearestCorrelation.isPossible(new double[][] {{1, 1}, {1, 1}}))
                .isTrue();
        assertThat(NearestCorrelation.isPossible(new double[][] {{1, 1, 1}, {1, 1, 0}, {1, 0, 1}}))
                .isFalse();
    }

    @Test
    void theFactorGivesTheMatrixBack() {
        double[][] matrix = {{1, 0.5, 0.2}, {0.5, 1, -0.3}, {0.2, -0.3, 1}};
        double[][] lower = Cholesky.lower(matrix).orElseThrow();
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                double product = 0;
                for (int k = 0; k < 3; k++) {
                    product += lower[i][k] * lower[j][k];
                }
                assertThat(product).isCloseTo(matrix[i][j], within(1e-12));
            }
        }
    }

    @Test
    void rankAndNormalCorrelationsAreInverses() {
        for (double rank = -1; rank <= 1; rank += 0.125) {
            assertThat(RankCorrelation.ofNormal(RankCorrelation.toNormal(rank))).isCloseTo(rank, within(1e-12));
        }
        assertThat(RankCorrelation.toNormal(1)).isCloseTo(1, within(1e-12));
    }

    @Test
    void theTableOfTheNormalIsTheNormal() {
        NormalDistribution exact = NormalDistribution.of(0, 1);
        for (double z = -9; z <= 9; z += 0.0137) {
            assertThat(NormalTable.cumulative(z)).isCloseTo(exact.cumulative(z), within(1e-9));
        }
        assertThat(NormalTable.cumulative(-40)).isGreaterThan(0);
        assertThat(NormalTable.cumulative(40)).isLessThan(1);
        assertThat(NormalTable.inverse(0.975)).isCloseTo(1.959963984540054, within(1e-6));
    }

    /** Three at −½ are just possible as normals; as ranks they ask 2 sin(−π/12) = −0.518 of the normals, and are not. */
    @Test
    void ranksAreJudgedByTheNormalsThatTheEngineDraws() {
        double[][] ranks = {{1, -0.5, -0.5}, {-0.5, 1, -0.5}, {-0.5, -0.5, 1}};
        assertThat(NearestCorrelation.isPossible(ranks)).isTrue();
        assertThat(NearestCorrelation.isPossibleOfRanks(ranks)).isFalse();
        double[][] nearest = NearestCorrelation.ofRanks(ranks);
        // The nearest normals are at −½, of which the ranks are 6 asin(−¼) / π.
        assertThat(nearest[1][0]).isCloseTo(6 * Math.asin(-0.25) / Math.PI, within(1e-6));
        assertThat(NearestCorrelation.isPossibleOfRanks(nearest)).isTrue();
    }
}
