package app.tychon.server.runs;

import static app.tychon.server.runs.Packing.read;

import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.BranchResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.DrivingPath;
import app.tychon.core.simulation.result.RunResult.RiskResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Results as compressed bytes that keep every bit: a format number, then numbers in a fixed order, gzip. Values of
 * branches, milestones and watched activities are kept apart, see {@link OutputCodec}. What earlier formats did not have
 * reads as none.
 */
final class ResultCodec {
    private static final int FORMAT = 4;

    private ResultCodec() {}

    static byte[] encode(RunResult result) {
        return Packing.pack(out -> {
            out.writeInt(FORMAT);
            out.writeInt(result.settings().iterations());
            out.writeLong(result.settings().seed());
            out.writeUTF(result.settings().sampling().name());
            out.writeInt(result.settings().threads());
            Optional<Steadiness> until = result.settings().until();
            out.writeDouble(until.map(Steadiness::tolerance).orElse(0.0));
            out.writeDouble(until.map(Steadiness::level).orElse(0.0));
            out.writeDouble(until.map(Steadiness::certainty).orElse(0.0));
            out.writeInt(result.iterations());
            out.writeDouble(result.planFinish());
            out.writeDouble(result.planDuration());
            out.writeDouble(result.cost().planned());
            out.writeDouble(result.cost().actions());
            Packing.write(out, result.start());
            Packing.write(out, result.finish());
            Packing.write(out, result.duration());
            Packing.write(out, result.cost().spread());
            Packing.write(out, result.cost().timeDriven());
            Packing.write(out, result.cost().risk());
            out.writeInt(result.activities().size());
            for (ActivityResult activity : result.activities()) {
                out.writeUTF(activity.id());
                out.writeDouble(activity.criticality());
                out.writeDouble(activity.cruciality());
                out.writeBoolean(activity.delay().isPresent());
                if (activity.delay().isPresent()) {
                    delay(out, activity.delay().get());
                }
                out.writeDouble(activity.meanDuration());
                out.writeDouble(activity.sdDuration());
                out.writeDouble(activity.meanStart());
                out.writeDouble(activity.meanFinish());
                out.writeDouble(activity.meanCost());
                Packing.write(out, activity.duration());
                Packing.write(out, activity.start());
                Packing.write(out, activity.finish());
            }
            out.writeInt(result.branches().size());
            for (BranchResult branch : result.branches()) {
                out.writeUTF(branch.id());
                out.writeDouble(branch.criticality());
                Packing.write(out, branch.start());
                Packing.write(out, branch.finish());
            }
            out.writeInt(result.risks().size());
            for (RiskResult risk : result.risks()) {
                out.writeUTF(risk.id());
                out.writeDouble(risk.occurred());
            }
            out.writeInt(result.paths().size());
            for (DrivingPath path : result.paths()) {
                out.writeDouble(path.share());
                out.writeDouble(path.meanDuration());
                out.writeInt(path.activities().size());
                for (String activity : path.activities()) {
                    out.writeUTF(activity);
                }
            }
        });
    }

    private static void delay(DataOutputStream out, ActivityResult.Delay delay) throws IOException {
        out.writeDouble(delay.mean());
        out.writeDouble(delay.sd());
        Packing.write(out, delay.percentiles());
    }

    private static Optional<ActivityResult.Delay> delay(DataInputStream in, int format) throws IOException {
        return format >= 4 && in.readBoolean()
                ? Optional.of(new ActivityResult.Delay(in.readDouble(), in.readDouble(), read(in)))
                : Optional.empty();
    }

    static RunResult decode(byte[] bytes) {
        return Packing.unpack(bytes, in -> {
            int format = in.readInt();
            if (format < 1 || format > FORMAT) {
                throw new IllegalStateException("results of format " + format + " cannot be read by this version");
            }
            boolean whole = format >= 2;
            int asked = in.readInt();
            long seed = in.readLong();
            Sampling sampling = Sampling.valueOf(in.readUTF());
            int threads = in.readInt();
            RunSettings settings =
                    new RunSettings(asked, seed, sampling, threads, whole ? until(in, format) : Optional.empty());
            int iterations = in.readInt();
            double planFinish = in.readDouble();
            double planDuration = in.readDouble();
            double planned = in.readDouble();
            double actions = whole ? in.readDouble() : 0;
            double[] start = whole ? read(in) : new double[0];
            double[] finish = read(in);
            double[] duration = read(in);
            double[] spread = read(in);
            double[] timeDriven = read(in);
            double[] risk = whole ? read(in) : new double[iterations];
            return new RunResult(
                    settings,
                    iterations,
                    start,
                    finish,
                    duration,
                    new RunResult.CostSamples(planned, spread, timeDriven, risk, actions),
                    planFinish,
                    planDuration,
                    activities(in, format),
                    format >= 3 ? branches(in) : List.of(),
                    List.of(),
                    whole ? risks(in) : List.of(),
                    whole ? paths(in) : List.of());
        });
    }

    private static Optional<Steadiness> until(DataInputStream in, int format) throws IOException {
        double tolerance = in.readDouble();
        double level = in.readDouble();
        double certainty = format >= 3 ? in.readDouble() : Steadiness.USUAL_CERTAINTY;
        return tolerance == 0 ? Optional.empty() : Optional.of(new Steadiness(tolerance, level, certainty));
    }

    private static List<ActivityResult> activities(DataInputStream in, int format) throws IOException {
        List<ActivityResult> activities = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            activities.add(new ActivityResult(
                    in.readUTF(),
                    in.readDouble(),
                    format >= 2 ? in.readDouble() : 0,
                    delay(in, format),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    read(in),
                    read(in),
                    read(in)));
        }
        return activities;
    }

    private static List<BranchResult> branches(DataInputStream in) throws IOException {
        List<BranchResult> branches = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            branches.add(new BranchResult(in.readUTF(), in.readDouble(), read(in), read(in)));
        }
        return branches;
    }

    private static List<RiskResult> risks(DataInputStream in) throws IOException {
        List<RiskResult> risks = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            risks.add(new RiskResult(in.readUTF(), in.readDouble()));
        }
        return risks;
    }

    private static List<DrivingPath> paths(DataInputStream in) throws IOException {
        List<DrivingPath> paths = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            double share = in.readDouble();
            double meanDuration = in.readDouble();
            List<String> activities = new ArrayList<>();
            for (int more = in.readInt(); more > 0; more--) {
                activities.add(in.readUTF());
            }
            paths.add(new DrivingPath(activities, share, meanDuration));
        }
        return paths;
    }
}
