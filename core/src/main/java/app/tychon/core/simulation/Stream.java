package app.tychon.core.simulation;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/**
 * The random stream of one uncertain quantity: 64 bits of a hash (SHA-256) of its role and the stable identity of what
 * it belongs to, so that nothing else in the plan can change its draws.
 */
record Stream(long id) {
    enum Role {
        DURATION,
        COST
    }

    static Stream of(Role role, String identity) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest((role + "\n" + identity).getBytes(StandardCharsets.UTF_8));
            return new Stream(ByteBuffer.wrap(digest).getLong());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
