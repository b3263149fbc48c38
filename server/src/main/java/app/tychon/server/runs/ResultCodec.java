package app.tychon.server.runs;

import app.tychon.core.simulation.ActivityResult;
import app.tychon.core.simulation.RunResult;
import app.tychon.core.simulation.RunSettings;
import app.tychon.core.simulation.Sampling;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** Results as compressed bytes that keep every bit: a format number, then numbers in a fixed order, gzip. */
final class ResultCodec {
    private static final int FORMAT = 1;

    private ResultCodec() {}

    static byte[] encode(RunResult result) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(new FastGzip(bytes))) {
            out.writeInt(FORMAT);
            out.writeInt(result.settings().iterations());
            out.writeLong(result.settings().seed());
            out.writeUTF(result.settings().sampling().name());
            out.writeInt(result.settings().threads());
            out.writeInt(result.iterations());
            out.writeDouble(result.planFinish());
            out.writeDouble(result.planDuration());
            out.writeDouble(result.cost().planned());
            write(out, result.finish());
            write(out, result.duration());
            write(out, result.cost().spread());
            write(out, result.cost().timeDriven());
            out.writeInt(result.activities().size());
            for (ActivityResult activity : result.activities()) {
                out.writeUTF(activity.id());
                out.writeDouble(activity.criticality());
                out.writeDouble(activity.meanDuration());
                out.writeDouble(activity.sdDuration());
                out.writeDouble(activity.meanStart());
                out.writeDouble(activity.meanFinish());
                out.writeDouble(activity.meanCost());
                write(out, activity.duration());
                write(out, activity.start());
                write(out, activity.finish());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    static RunResult decode(byte[] bytes) {
        try (DataInputStream in = new DataInputStream(new GZIPInputStream(new ByteArrayInputStream(bytes)))) {
            int format = in.readInt();
            if (format != FORMAT) {
                throw new IllegalStateException("results of format " + format + " cannot be read by this version");
            }
            RunSettings settings =
                    new RunSettings(in.readInt(), in.readLong(), Sampling.valueOf(in.readUTF()), in.readInt());
            int iterations = in.readInt();
            double planFinish = in.readDouble();
            double planDuration = in.readDouble();
            double planned = in.readDouble();
            double[] finish = read(in);
            double[] duration = read(in);
            RunResult.CostSamples cost = new RunResult.CostSamples(planned, read(in), read(in));
            List<ActivityResult> activities = new ArrayList<>();
            for (int left = in.readInt(); left > 0; left--) {
                activities.add(new ActivityResult(
                        in.readUTF(),
                        in.readDouble(),
                        in.readDouble(),
                        in.readDouble(),
                        in.readDouble(),
                        in.readDouble(),
                        in.readDouble(),
                        read(in),
                        read(in),
                        read(in)));
            }
            return new RunResult(settings, iterations, finish, duration, cost, planFinish, planDuration, activities);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void write(DataOutputStream out, double[] values) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(values.length * Double.BYTES);
        buffer.asDoubleBuffer().put(values);
        out.writeInt(values.length);
        out.write(buffer.array());
    }

    private static double[] read(DataInputStream in) throws IOException {
        double[] values = new double[in.readInt()];
        ByteBuffer.wrap(in.readNBytes(values.length * Double.BYTES))
                .asDoubleBuffer()
                .get(values);
        return values;
    }

    /** Samples hardly compress further at higher levels; speed matters more. */
    private static final class FastGzip extends GZIPOutputStream {
        FastGzip(ByteArrayOutputStream out) throws IOException {
            super(out, 1 << 16);
            def.setLevel(Deflater.BEST_SPEED);
        }
    }
}
