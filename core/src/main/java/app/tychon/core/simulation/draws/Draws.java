package app.tychon.core.simulation.draws;

import app.tychon.core.simulation.settings.Sampling;
import java.util.stream.IntStream;

/**
 * The uniform draws of a run: u(seed, stream, iteration) in (0, 1), a pure function, whoever asks and in what order.
 *
 * <p>Latin hypercube: within each block of {@value #BLOCK} iterations, iteration i falls into stratum π(i), with a
 * permutation π keyed by seed, stream and block, so that every stratum of the block is hit once, yet any one draw can
 * be had without the others. The permutation is the hashed one of Kensler, "Correlated multi-jittered sampling" (2013).
 */
public final class Draws {
    /** Iterations to a full hypercube. */
    static final int BLOCK = 500;

    private static final int MASK = Integer.highestOneBit(BLOCK - 1) * 2 - 1;
    private static final int POSITION = 0;
    private static final int PERMUTATION = 1;
    private static final double UNIT = 0x1.0p-53;
    /** Makes the middle of a cell of an unsigned word of what was read as a signed one. */
    private static final double UNSIGNED = 0x1.0p31 + 0.5;

    private static final double STRATUM = 1.0 / BLOCK;
    private static final double WORD = 0x1.0p-32 / BLOCK;
    /** Every number below a block, as an array that loops over several can start from. */
    private static final int[] INDEX = IntStream.range(0, BLOCK).toArray();

    private final int key0;
    private final int key1;
    private final Sampling sampling;

    public Draws(long seed, Sampling sampling) {
        key0 = (int) seed;
        key1 = (int) (seed >>> 32);
        this.sampling = sampling;
    }

    /**
     * Draws for {@code count} iterations from {@code first}, a multiple of four; they lie within one block.
     *
     * @param scratch the calling thread's own
     */
    void fill(RandomStream stream, int first, int count, double[] out, Scratch scratch) {
        if (sampling == Sampling.LATIN) {
            fillLatin(stream, first, count, out, scratch);
        } else {
            fillPlain(stream, first, count, out, scratch.words);
        }
    }

    private void fillPlain(RandomStream stream, int first, int count, double[] out, int[] words) {
        for (int k = 0; k < count; k += 4) {
            generatePair(stream, (first + k) >>> 1, POSITION, words, 0);
            for (int i = 0; i < 4 && k + i < count; i++) {
                out[k + i] = unit(words[2 * i], words[2 * i + 1]);
            }
        }
    }

    /**
     * Within a stratum 32 random bits are as fine as anyone can tell, so that one call serves four iterations. A loop for
     * each step, so that the compiler can work on several iterations at once.
     */
    private void fillLatin(RandomStream stream, int first, int count, double[] out, Scratch scratch) {
        int[] words = scratch.words;
        int[] strata = scratch.strata;
        generatePair(stream, first / BLOCK, PERMUTATION, words, 0);
        int key = words[0];
        int shift = Integer.remainderUnsigned(key, BLOCK);
        int inBlock = first % BLOCK;
        for (int k = 0; k < count; k++) {
            strata[k] = scramble(INDEX[inBlock + k], key);
        }
        for (int k = 0; k < count; k++) {
            strata[k] = inside(strata[k], key, shift);
        }
        for (int k = 0; k < count; k += 8) {
            generatePair(stream, (first + k) >>> 2, POSITION, words, k);
        }
        for (int k = 0; k < count; k++) {
            out[k] = strata[k] * STRATUM + ((words[k] ^ Integer.MIN_VALUE) + UNSIGNED) * WORD;
        }
    }

    private void generatePair(RandomStream stream, int index, int purpose, int[] words, int at) {
        Philox.generatePair(index, purpose, (int) stream.id(), (int) (stream.id() >>> 32), key0, key1, words, at);
    }

    /** The top 53 of 64 random bits as the middle of one of 2^53 equal cells, so never 0 or 1. */
    private static double unit(int high, int low) {
        long bits = ((long) high << 32) | (low & 0xFFFFFFFFL);
        return ((bits >>> 11) + 0.5) * UNIT;
    }

    /** Kensler's permute(), for {@value #BLOCK} elements: hashing within the next power of two, walking until inside. */
    static int permute(int index, int key) {
        return inside(scramble(index, key), key, Integer.remainderUnsigned(key, BLOCK));
    }

    private static int inside(int scrambled, int key, int shift) {
        int i = scrambled;
        while (i >= BLOCK) {
            i = scramble(i, key);
        }
        int shifted = i + shift - BLOCK;
        return shifted + (BLOCK & (shifted >> 31));
    }

    private static int scramble(int index, int key) {
        int i = index;
        i ^= key;
        i *= 0xe170893d;
        i ^= key >>> 16;
        i ^= (i & MASK) >>> 4;
        i ^= key >>> 8;
        i *= 0x0929eb3f;
        i ^= key >>> 23;
        i ^= (i & MASK) >>> 1;
        i *= 1 | key >>> 27;
        i *= 0x6935fa69;
        i ^= (i & MASK) >>> 11;
        i *= 0x74dcb303;
        i ^= (i & MASK) >>> 2;
        i *= 0x9e501cc3;
        i ^= (i & MASK) >>> 2;
        i *= 0xc860a3df;
        i &= MASK;
        i ^= i >>> 5;
        return i;
    }
}
