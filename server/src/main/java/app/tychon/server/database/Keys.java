package app.tychon.server.database;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;

/** Keys that open something. They are long enough that nobody guesses them, so a plain digest is what is kept of them. */
public final class Keys {
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int BYTES = 32;

    private Keys() {}

    /** A key of 256 bits, in letters that an address can hold. */
    public static String fresh() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** SHA-256, 32 bytes. */
    public static byte[] digest(String key) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
