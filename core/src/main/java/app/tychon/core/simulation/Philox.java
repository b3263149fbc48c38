package app.tychon.core.simulation;

/**
 * The counter-based generator Philox 4×32-10: a bijection of 128-bit counters for each 64-bit key, whose outputs pass
 * for random.
 *
 * @see <a href="https://doi.org/10.1145/2063384.2063405">Salmon, Moraes, Dror, Shaw, "Parallel random numbers: as easy
 *     as 1, 2, 3", SC11 (2011)</a>
 */
final class Philox {
    private static final long MULTIPLIER_0 = 0xD2511F53L;
    private static final long MULTIPLIER_1 = 0xCD9E8D57L;
    private static final int WEYL_0 = 0x9E3779B9;
    private static final int WEYL_1 = 0xBB67AE85;
    private static final int ROUNDS = 10;
    private static final long LOW = 0xFFFFFFFFL;

    private Philox() {}

    /** Writes the four output words for a counter and key to {@code out}. */
    static void generate(int c0, int c1, int c2, int c3, int key0, int key1, int[] out) {
        int k0 = key0;
        int k1 = key1;
        for (int round = 0; round < ROUNDS; round++) {
            long product0 = MULTIPLIER_0 * (c0 & LOW);
            long product1 = MULTIPLIER_1 * (c2 & LOW);
            c0 = (int) (product1 >>> 32) ^ c1 ^ k0;
            c2 = (int) (product0 >>> 32) ^ c3 ^ k1;
            c1 = (int) product1;
            c3 = (int) product0;
            k0 += WEYL_0;
            k1 += WEYL_1;
        }
        out[0] = c0;
        out[1] = c1;
        out[2] = c2;
        out[3] = c3;
    }
}
