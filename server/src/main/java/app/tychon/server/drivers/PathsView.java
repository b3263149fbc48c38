package app.tychon.server.drivers;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.LongestPath;
import app.tychon.core.simulation.DrivingFutures;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.DatedPath;
import app.tychon.core.statistics.Sample;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The paths that drove, the most frequent first.
 *
 * @param towards code of the activity they lead to; absent for the project's finish
 * @param futures of the run
 * @param beyond  futures beyond it are the late ones
 * @param late    how many those are
 * @param paths   those told one by one
 * @param others  share of futures, 0 to 1, that none of them drove
 * @param levels  percents of futures that are kept before each of the shares of {@link PathView#beyond}
 */
record PathsView(
        @Nullable String towards,
        int futures,
        GoalValue beyond,
        int late,
        List<PathView> paths,
        double others,
        List<Integer> levels) {
    private static final List<Integer> LEVELS = List.of(0, 10, 20, 30, 40, 50, 60, 70, 80, 90);

    /**
     * One path.
     *
     * @param number   from 1, the most frequent
     * @param share    of all futures, 0 to 1
     * @param lateShare of the late ones; absent where there are none
     * @param otherShare of those that are not late; absent where there are none
     * @param meanDays mean working days from the project's start to its end where it drove
     * @param sdDays   standard deviation of them
     * @param planned  share of its work, 0 to 1, that lies on the plan's longest path
     * @param partsAt  the first activity that is not on the most frequent path; absent where there is none
     * @param meetsAt  the first after those that is again
     * @param beyond   its share of the futures beyond each of the levels
     * @param example  number, from 1, of the future in which it drove whose length lies nearest to their mean
     */
    record PathView(
            int number,
            double share,
            @Nullable Double lateShare,
            @Nullable Double otherShare,
            double meanDays,
            double sdDays,
            double planned,
            @Nullable String partsAt,
            @Nullable String meetsAt,
            List<Double> beyond,
            int example,
            List<PathStep> steps) {}

    /** An activity on a path, with its mean dates where that drove. */
    record PathStep(String id, String name, LocalDateTime start, LocalDateTime finish) {}

    static PathsView of(Goal goal, CompiledPlan plan, DrivingFutures driving, Limit limit) {
        int futures = driving.pathOf().length;
        double[] length = driving.length();
        boolean[] late = new boolean[futures];
        for (int i = 0; i < futures; i++) {
            late[i] = length[i] > limit.value();
        }
        int count = (int) IntStream.range(0, futures).filter(i -> late[i]).count();
        Set<String> planned = LongestPath.to(plan.network(), plan.target());
        List<double[]> levels = levels(driving);
        List<PathView> paths = new ArrayList<>();
        for (int path = 0; path < driving.paths().size(); path++) {
            paths.add(view(goal, driving, path, late, count, planned, levels));
        }
        double told = driving.paths().stream().mapToDouble(DatedPath::futures).sum();
        return new PathsView(
                goal.towardsId().orElse(null), futures, limit.told(), count, paths, 1 - told / futures, LEVELS);
    }

    private static PathView view(
            Goal goal,
            DrivingFutures driving,
            int path,
            boolean[] late,
            int count,
            Set<String> planned,
            List<double[]> levels) {
        DatedPath own = driving.paths().get(path);
        double[] days = IntStream.range(0, late.length)
                .filter(i -> driving.pathOf()[i] == path)
                .mapToDouble(i -> driving.length()[i] / goal.unit())
                .toArray();
        Sample sample = Sample.of(days);
        long both = IntStream.range(0, late.length)
                .filter(i -> late[i] && driving.pathOf()[i] == path)
                .count();
        List<String> ids = own.activities();
        Set<String> first = new HashSet<>(driving.paths().get(0).activities());
        int parts = IntStream.range(0, ids.size())
                .filter(i -> !first.contains(ids.get(i)))
                .findFirst()
                .orElse(-1);
        int meets = parts < 0
                ? -1
                : IntStream.range(parts, ids.size())
                        .filter(i -> first.contains(ids.get(i)))
                        .findFirst()
                        .orElse(-1);
        return new PathView(
                path + 1,
                (double) own.futures() / late.length,
                count == 0 ? null : (double) both / count,
                count == late.length ? null : (double) (own.futures() - both) / (late.length - count),
                sample.mean(),
                days.length < 2 ? 0 : sample.standardDeviation(),
                (double) ids.stream().filter(planned::contains).count() / ids.size(),
                parts < 0 ? null : ids.get(parts),
                meets < 0 ? null : ids.get(meets),
                levels.stream().map(shares -> shares[path]).toList(),
                example(goal, driving, path, sample.mean()),
                steps(goal.run().plan(), own));
    }

    private static int example(Goal goal, DrivingFutures driving, int path, double meanDays) {
        return 1
                + IntStream.range(0, driving.pathOf().length)
                        .filter(i -> driving.pathOf()[i] == path)
                        .boxed()
                        .min(Comparator.comparingDouble(i -> Math.abs(driving.length()[i] / goal.unit() - meanDays)))
                        .orElse(0);
    }

    private static List<PathStep> steps(Plan plan, DatedPath path) {
        Map<String, String> names = new HashMap<>();
        for (Activity activity : plan.activities()) {
            names.put(activity.id(), activity.name());
        }
        return IntStream.range(0, path.activities().size())
                .mapToObj(i -> new PathStep(
                        path.activities().get(i),
                        names.get(path.activities().get(i)),
                        Instants.toCivil(path.start()[i]),
                        Instants.toCivil(path.finish()[i])))
                .toList();
    }

    /** For each level, the share of each path among the futures beyond that percentile. */
    private static List<double[]> levels(DrivingFutures driving) {
        int futures = driving.pathOf().length;
        Integer[] order = IntStream.range(0, futures).boxed().toArray(Integer[]::new);
        Arrays.sort(order, (one, other) -> Double.compare(driving.length()[one], driving.length()[other]));
        List<double[]> levels = new ArrayList<>();
        for (int level : LEVELS) {
            int from = Math.min(futures - 1, (int) ((long) futures * level / 100));
            double[] shares = new double[driving.paths().size()];
            for (int i = from; i < futures; i++) {
                int path = driving.pathOf()[order[i]];
                if (path >= 0) {
                    shares[path] += 1.0 / (futures - from);
                }
            }
            levels.add(shares);
        }
        return levels;
    }
}
