package app.tychon.server.people;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.encrypt.BytesEncryptor;
import org.springframework.security.crypto.encrypt.Encryptors;
import org.springframework.stereotype.Component;

/**
 * One-time codes by time (RFC 6238: six digits, 30 seconds, SHA-1, as every app for them takes it). Secrets are kept enciphered
 * (AES-GCM) with the server's own secret, so that a copy of the database alone makes no codes.
 */
@Component
class OneTimeCodes {
    private static final Duration STEP = Duration.ofSeconds(30);
    private static final int DIGITS = 6;
    private static final int SECRET_BYTES = 20;
    private static final String SALT = "7479636f6e636f64";
    private static final char[] LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".toCharArray();
    private static final int BITS = 5;

    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator(STEP, DIGITS);
    private final SecureRandom random = new SecureRandom();
    private final BytesEncryptor cipher;
    private final Clock clock;

    OneTimeCodes(@Value("${tychon.secret}") String secret, Clock clock) {
        cipher = Encryptors.stronger(secret, SALT);
        this.clock = clock;
    }

    /** A new secret, enciphered. */
    byte[] freshSecret() {
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        return encipher(secret);
    }

    byte[] encipher(byte[] secret) {
        return cipher.encrypt(secret);
    }

    /** A secret in the letters in which it is typed into an app (base 32, RFC 4648). */
    String letters(byte[] enciphered) {
        return base32(cipher.decrypt(enciphered));
    }

    /** What an app reads out of a picture. */
    String address(byte[] enciphered, String email) {
        return "otpauth://totp/Tychon:" + URLEncoder.encode(email, StandardCharsets.UTF_8) + "?secret="
                + letters(enciphered) + "&issuer=Tychon";
    }

    /** The address as dark modules of a picture, a line of 0 and 1 for each row. */
    static String picture(String address) {
        try {
            BitMatrix matrix = new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0);
            StringBuilder rows = new StringBuilder();
            for (int y = 0; y < matrix.getHeight(); y++) {
                for (int x = 0; x < matrix.getWidth(); x++) {
                    rows.append(matrix.get(x, y) ? '1' : '0');
                }
                rows.append('\n');
            }
            return rows.toString();
        } catch (WriterException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * The step of time that a code is of: now, or the one before or after; nothing where it is none of these.
     *
     * @param after the last step of which a code was used, which is not taken again
     */
    OptionalLong stepOf(String code, byte[] enciphered, long after) {
        String typed = code.replaceAll("\\s", "");
        long now = clock.instant().getEpochSecond() / STEP.toSeconds();
        for (long step = now - 1; step <= now + 1; step++) {
            if (step > after && code(enciphered, step).equals(typed)) {
                return OptionalLong.of(step);
            }
        }
        return OptionalLong.empty();
    }

    /** The code of a step. */
    String code(byte[] enciphered, long step) {
        try {
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(cipher.decrypt(enciphered), codes.getAlgorithm()),
                    Instant.ofEpochSecond(step * STEP.toSeconds()));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Random letters in groups of four, of five bits each. */
    String freshRecoveryCode() {
        byte[] bytes = new byte[10];
        random.nextBytes(bytes);
        return base32(bytes).replaceAll("(.{4})(?!$)", "$1-");
    }

    private static String base32(byte[] bytes) {
        StringBuilder text = new StringBuilder();
        int buffer = 0;
        int held = 0;
        for (byte b : bytes) {
            buffer = buffer << Byte.SIZE | b & 0xff;
            held += Byte.SIZE;
            while (held >= BITS) {
                held -= BITS;
                text.append(LETTERS[buffer >> held & LETTERS.length - 1]);
            }
        }
        if (held > 0) {
            text.append(LETTERS[buffer << BITS - held & LETTERS.length - 1]);
        }
        return text.toString();
    }
}
