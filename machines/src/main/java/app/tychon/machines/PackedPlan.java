package app.tychon.machines;

import app.tychon.core.model.Plan;
import app.tychon.exchange.ProjectFileWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.zip.GZIPOutputStream;

/**
 * A plan as it is sent: its project file, packed.
 *
 * @param digest tells it from others
 */
record PackedPlan(Plan plan, byte[] bytes, String digest) {
    static PackedPlan of(Plan plan) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            ProjectFileWriter.write(plan, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new PackedPlan(plan, bytes.toByteArray(), digest(bytes.toByteArray()));
    }

    private static String digest(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("this Java lacks SHA-256", e);
        }
    }
}
