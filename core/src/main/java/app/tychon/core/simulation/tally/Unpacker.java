package app.tychon.core.simulation.tally;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;

/** Reads what {@link Packer} has put together. Whatever the bytes are, it reads no further than they go. */
public final class Unpacker {
    private final ByteBuffer bytes;

    public Unpacker(byte[] bytes) {
        this.bytes = ByteBuffer.wrap(bytes);
    }

    /** @throws BufferUnderflowException where there are no more bytes, as all others here do */
    public int whole() {
        int value = 0;
        for (int shift = 0; shift < 35; shift += 7) {
            int next = bytes.get();
            value |= (next & 0x7f) << shift;
            if (next >= 0) {
                break;
            }
        }
        return value;
    }

    /** @throws IllegalArgumentException where it is not below {@code end} */
    public int below(int end) {
        int value = whole();
        if (value < 0 || value >= end) {
            throw new IllegalArgumentException(value + " where there are only " + end);
        }
        return value;
    }

    public double real() {
        return bytes.getDouble();
    }

    /** Fills {@code count} places from {@code first} on. */
    public void reals(double[] out, int first, int count) {
        if (bytes.remaining() < count * (long) Double.BYTES) {
            throw new BufferUnderflowException();
        }
        bytes.asDoubleBuffer().get(out, first, count);
        bytes.position(bytes.position() + count * Double.BYTES);
    }

    public double[] reals(int count) {
        if (bytes.remaining() < count * (long) Double.BYTES) {
            throw new BufferUnderflowException();
        }
        double[] values = new double[count];
        reals(values, 0, count);
        return values;
    }

    void longs(long[] out, int first, int count) {
        bytes.asLongBuffer().get(out, first, count);
        bytes.position(bytes.position() + count * Long.BYTES);
    }

    public boolean isAtEnd() {
        return !bytes.hasRemaining();
    }
}
