package app.tychon.server.database;

import java.security.SecureRandom;
import java.util.UUID;

/** Time-ordered keys (UUID version 7, RFC 9562), which keep inserts at the end of the index. */
public final class Ids {
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final long VERSION_7 = 0x7000L;
    private static final long VARIANT = 0x8000000000000000L;

    private Ids() {}

    /** 48 bits of milliseconds since 1970, then 74 random bits. */
    public static UUID next() {
        long random = RANDOM.nextLong();
        long high = System.currentTimeMillis() << 16 | VERSION_7 | random >>> 52;
        return new UUID(high, VARIANT | RANDOM.nextLong() >>> 2);
    }
}
