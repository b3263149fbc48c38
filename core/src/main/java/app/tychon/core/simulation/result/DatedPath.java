package app.tychon.core.simulation.result;

import java.util.List;

/**
 * A path that drove, with the dates at which its work stood where it did.
 *
 * @param activities ids from its start to its end
 * @param futures    in how many it drove
 * @param start      of each activity, an instant in minutes: the mean over those futures
 * @param finish     likewise
 */
public record DatedPath(List<String> activities, int futures, double[] start, double[] finish) {
    public DatedPath {
        activities = List.copyOf(activities);
    }
}
