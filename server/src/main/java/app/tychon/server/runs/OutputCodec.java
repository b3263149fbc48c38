package app.tychon.server.runs;

import app.tychon.core.simulation.result.Output;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Arrays;

/** Values of one activity or branch as compressed bytes: times to the minute, as they are told, and money to the last bit. */
final class OutputCodec {
    private static final int FORMAT = 1;

    private OutputCodec() {}

    static byte[] encode(Output output) {
        return Packing.pack(out -> {
            out.writeInt(FORMAT);
            out.writeUTF(output.kind().name());
            writeMinutes(out, output.start());
            writeMinutes(out, output.finish());
            writeMinutes(out, output.duration());
            Packing.write(out, output.cost());
        });
    }

    static Output decode(String item, byte[] bytes) {
        return Packing.unpack(bytes, in -> {
            int format = in.readInt();
            if (format != FORMAT) {
                throw new IllegalStateException("values of format " + format + " cannot be read by this version");
            }
            Output.Kind kind = Output.Kind.valueOf(in.readUTF());
            return new Output(kind, item, readMinutes(in), readMinutes(in), readMinutes(in), Packing.read(in));
        });
    }

    private static void writeMinutes(DataOutputStream out, double[] minutes) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(minutes.length * Integer.BYTES);
        buffer.asIntBuffer()
                .put(Arrays.stream(minutes)
                        .mapToInt(m -> Math.toIntExact(Math.round(m)))
                        .toArray());
        out.writeInt(minutes.length);
        out.write(buffer.array());
    }

    private static double[] readMinutes(DataInputStream in) throws IOException {
        int[] minutes = new int[in.readInt()];
        ByteBuffer.wrap(in.readNBytes(minutes.length * Integer.BYTES))
                .asIntBuffer()
                .get(minutes);
        return Arrays.stream(minutes).asDoubleStream().toArray();
    }
}
