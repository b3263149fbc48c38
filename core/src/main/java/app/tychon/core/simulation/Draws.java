package app.tychon.core.simulation;

/**
 * The uniform draws of a run: u(seed, stream, iteration) in (0, 1), a pure function, whoever asks and in what order.
 *
 * <p>Latin hypercube: within each block of {@value #BLOCK} iterations, iteration i falls into stratum π(i), with a
 * permutation π keyed by seed, stream and block, so that every stratum of the block is hit once, yet any one draw can
 * be had without the others. The permutation is the hashed one of Kensler, "Correlated multi-jittered sampling" (2013).
 */
final class Draws {
    /** Iterations to a full hypercube. */
    static final int BLOCK = 500;

    private static final int POSITION = 0;
    private static final int PERMUTATION = 1;
    private static final double UNIT = 0x1.0p-53;
    private static final double STRATUM_UNIT = 0x1.0p-32;

    private final int key0;
    private final int key1;
    private final Sampling sampling;

    Draws(long seed, Sampling sampling) {
        key0 = (int) seed;
        key1 = (int) (seed >>> 32);
        this.sampling = sampling;
    }

    /**
     * Draws for {@code count} iterations from {@code first}, a multiple of four; they lie within one block.
     *
     * @param words working space of four
     */
    void fill(Stream stream, int first, int count, double[] out, int[] words) {
        if (sampling == Sampling.LATIN) {
            fillLatin(stream, first, count, out, words);
        } else {
            fillPlain(stream, first, count, out, words);
        }
    }

    private void fillPlain(Stream stream, int first, int count, double[] out, int[] words) {
        for (int k = 0; k < count; k += 2) {
            generate(stream, (first + k) >>> 1, POSITION, words);
            out[k] = unit(words[0], words[1]);
            if (k + 1 < count) {
                out[k + 1] = unit(words[2], words[3]);
            }
        }
    }

    /** Within a stratum 32 random bits are as fine as anyone can tell, so that one call serves four iterations. */
    private void fillLatin(Stream stream, int first, int count, double[] out, int[] words) {
        generate(stream, first / BLOCK, PERMUTATION, words);
        int key = words[0];
        int inBlock = first % BLOCK;
        for (int k = 0; k < count; k++) {
            if ((k & 3) == 0) {
                generate(stream, (first + k) >>> 2, POSITION, words);
            }
            double within = ((words[k & 3] & 0xFFFFFFFFL) + 0.5) * STRATUM_UNIT;
            out[k] = (permute(inBlock + k, key) + within) / BLOCK;
        }
    }

    private void generate(Stream stream, int index, int purpose, int[] words) {
        Philox.generate(index, purpose, (int) stream.id(), (int) (stream.id() >>> 32), key0, key1, words);
    }

    /** The top 53 of 64 random bits as the middle of one of 2^53 equal cells, so never 0 or 1. */
    private static double unit(int high, int low) {
        long bits = ((long) high << 32) | (low & 0xFFFFFFFFL);
        return ((bits >>> 11) + 0.5) * UNIT;
    }

    /** Kensler's permute(), for {@value #BLOCK} elements: hashing within the next power of two, walking until inside. */
    static int permute(int index, int key) {
        int mask = Integer.highestOneBit(BLOCK - 1) * 2 - 1;
        int i = index;
        do {
            i ^= key;
            i *= 0xe170893d;
            i ^= key >>> 16;
            i ^= (i & mask) >>> 4;
            i ^= key >>> 8;
            i *= 0x0929eb3f;
            i ^= key >>> 23;
            i ^= (i & mask) >>> 1;
            i *= 1 | key >>> 27;
            i *= 0x6935fa69;
            i ^= (i & mask) >>> 11;
            i *= 0x74dcb303;
            i ^= (i & mask) >>> 2;
            i *= 0x9e501cc3;
            i ^= (i & mask) >>> 2;
            i *= 0xc860a3df;
            i &= mask;
            i ^= i >>> 5;
        } while (i >= BLOCK);
        return Integer.remainderUnsigned(i + key, BLOCK);
    }
}
