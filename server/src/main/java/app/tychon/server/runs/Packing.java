package app.tychon.server.runs;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** Numbers in a fixed order as compressed bytes. */
final class Packing {
    private Packing() {}

    @FunctionalInterface
    interface Writing {
        void to(DataOutputStream out) throws IOException;
    }

    @FunctionalInterface
    interface Reading<T> {
        T from(DataInputStream in) throws IOException;
    }

    static byte[] pack(Writing writing) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(new FastGzip(bytes))) {
            writing.to(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    static <T> T unpack(byte[] bytes, Reading<T> reading) {
        try (DataInputStream in = new DataInputStream(new GZIPInputStream(new ByteArrayInputStream(bytes)))) {
            return reading.from(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void write(DataOutputStream out, double[] values) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(values.length * Double.BYTES);
        buffer.asDoubleBuffer().put(values);
        out.writeInt(values.length);
        out.write(buffer.array());
    }

    static double[] read(DataInputStream in) throws IOException {
        double[] values = new double[in.readInt()];
        ByteBuffer.wrap(in.readNBytes(values.length * Double.BYTES))
                .asDoubleBuffer()
                .get(values);
        return values;
    }

    /** Samples hardly compress further at higher levels, and hardly repeat themselves; speed matters more. */
    private static final class FastGzip extends GZIPOutputStream {
        FastGzip(ByteArrayOutputStream out) throws IOException {
            super(out, 1 << 16);
            def.setLevel(Deflater.BEST_SPEED);
            def.setStrategy(Deflater.HUFFMAN_ONLY);
        }
    }
}
