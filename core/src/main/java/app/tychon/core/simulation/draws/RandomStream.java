package app.tychon.core.simulation.draws;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/**
 * The random stream of one uncertain quantity: 64 bits of a hash (SHA-256) of its role and the stable identity of what
 * it belongs to, so that nothing else in the plan can change its draws.
 */
public record RandomStream(long id) implements Chances {
    public enum Role {
        DURATION,
        COST,
        CORRELATION,
        OCCURRENCE,
        EXCLUSION,
        COUNT,
        IMPACT,
        PRICE
    }

    private static final long GOLDEN = 0x9E3779B97F4A7C15L;

    public static RandomStream of(Role role, String identity) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest((role + "\n" + identity).getBytes(StandardCharsets.UTF_8));
            return new RandomStream(ByteBuffer.wrap(digest).getLong());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    /** The stream of the n-th of several independent draws of one quantity; the first is this one. */
    public RandomStream nth(int n) {
        return n == 0 ? this : new RandomStream(mix(id + n * GOLDEN));
    }

    /** Finaliser of SplitMix64 (Steele, Lea, Flood, "Fast splittable pseudorandom number generators", 2014). */
    private static long mix(long bits) {
        long z = (bits ^ (bits >>> 30)) * 0xBF58476D1CE4E5B9L;
        z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
        return z ^ (z >>> 31);
    }

    @Override
    public void fill(Batch batch, double[] out) {
        batch.fill(this, out);
    }
}
