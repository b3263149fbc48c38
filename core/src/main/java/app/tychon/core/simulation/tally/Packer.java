package app.tychon.core.simulation.tally;

import java.nio.ByteBuffer;
import java.util.Arrays;

/** Numbers one after the other in bytes that grow; {@link Unpacker} reads them in the same order. For one thread. */
public final class Packer {
    private static final int FIRST_SIZE = 1 << 16;
    /** Whole numbers below this take a byte. */
    private static final int SHORT = 0x80;

    private ByteBuffer bytes = ByteBuffer.allocate(FIRST_SIZE);

    private ByteBuffer room(int more) {
        if (bytes.remaining() < more) {
            long wanted = Math.max(bytes.position() + (long) more, 3L * bytes.capacity() / 2);
            bytes.flip();
            bytes = ByteBuffer.allocate((int) Math.min(wanted, Integer.MAX_VALUE - 8))
                    .put(bytes);
        }
        return bytes;
    }

    /** A number that is not negative, in seven bits a byte. */
    public Packer whole(int value) {
        int left = value;
        ByteBuffer out = room(5);
        while (left >= SHORT) {
            out.put((byte) (left | SHORT));
            left >>>= 7;
        }
        out.put((byte) left);
        return this;
    }

    public Packer real(double value) {
        room(Double.BYTES).putDouble(value);
        return this;
    }

    /** The first {@code count} of them. */
    public Packer reals(double[] values, int count) {
        ByteBuffer out = room(count * Double.BYTES);
        out.asDoubleBuffer().put(values, 0, count);
        out.position(out.position() + count * Double.BYTES);
        return this;
    }

    Packer longs(long[] values) {
        ByteBuffer out = room(values.length * Long.BYTES);
        out.asLongBuffer().put(values);
        out.position(out.position() + values.length * Long.BYTES);
        return this;
    }

    public byte[] bytes() {
        return Arrays.copyOf(bytes.array(), bytes.position());
    }
}
