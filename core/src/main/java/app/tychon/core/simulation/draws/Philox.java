package app.tychon.core.simulation.draws;

/**
 * The counter-based generator Philox 4×32-10: a bijection of 128-bit counters for each 64-bit key, whose outputs pass
 * for random.
 *
 * @see <a href="https://doi.org/10.1145/2063384.2063405">Salmon, Moraes, Dror, Shaw, "Parallel random numbers: as easy
 *     as 1, 2, 3", SC11 (2011)</a>
 */
public final class Philox {
    private static final long MULTIPLIER_0 = 0xD2511F53L;
    private static final long MULTIPLIER_1 = 0xCD9E8D57L;
    private static final int WEYL_0 = 0x9E3779B9;
    private static final int WEYL_1 = 0xBB67AE85;
    private static final int ROUNDS = 10;
    private static final long LOW = 0xFFFFFFFFL;

    private Philox() {}

    /**
     * Writes the four output words for a counter and key, and those for the counter whose first word is one more, to
     * {@code out}, from {@code at} on. Two at a time, since a processor can work on one while it waits for the other.
     */
    public static void generatePair(int c0, int c1, int c2, int c3, int key0, int key1, int[] out, int at) {
        int k0 = key0;
        int k1 = key1;
        int a0 = c0;
        int a1 = c1;
        int a2 = c2;
        int a3 = c3;
        int b0 = c0 + 1;
        int b1 = c1;
        int b2 = c2;
        int b3 = c3;
        for (int round = 0; round < ROUNDS; round++) {
            long productA0 = MULTIPLIER_0 * (a0 & LOW);
            long productB0 = MULTIPLIER_0 * (b0 & LOW);
            long productA1 = MULTIPLIER_1 * (a2 & LOW);
            long productB1 = MULTIPLIER_1 * (b2 & LOW);
            a0 = (int) (productA1 >>> 32) ^ a1 ^ k0;
            b0 = (int) (productB1 >>> 32) ^ b1 ^ k0;
            a2 = (int) (productA0 >>> 32) ^ a3 ^ k1;
            b2 = (int) (productB0 >>> 32) ^ b3 ^ k1;
            a1 = (int) productA1;
            b1 = (int) productB1;
            a3 = (int) productA0;
            b3 = (int) productB0;
            k0 += WEYL_0;
            k1 += WEYL_1;
        }
        out[at] = a0;
        out[at + 1] = a1;
        out[at + 2] = a2;
        out[at + 3] = a3;
        out[at + 4] = b0;
        out[at + 5] = b1;
        out[at + 6] = b2;
        out[at + 7] = b3;
    }
}
