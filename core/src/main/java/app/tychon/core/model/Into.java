package app.tychon.core.model;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What leads into an activity, kept and changed as one: its predecessors, or its assignments.
 *
 * @param activity its code
 */
public record Into<T>(String activity, List<T> all) {

    /** Everything by the activity it leads into. */
    public static <T> List<Into<T>> of(List<T> all, Function<T, String> activity) {
        Map<String, List<T>> groups = new LinkedHashMap<>();
        all.forEach(one -> groups.computeIfAbsent(activity.apply(one), a -> new ArrayList<>(2))
                .add(one));
        return groups.entrySet().stream()
                .map(group -> new Into<>(group.getKey(), group.getValue()))
                .toList();
    }

    /** Keys of the activities into which something else led before. */
    public static <T, K> List<K> rewritten(Delta<Into<T>> delta, Map<String, K> activities) {
        return Stream.concat(delta.changed().stream().map(Into::activity), delta.removed().stream())
                .map(activities::get)
                .filter(Objects::nonNull)
                .toList();
    }

    /** What leads into them now. */
    public static <T> List<T> written(Delta<Into<T>> delta) {
        return Stream.concat(delta.changed().stream(), delta.added().stream())
                .flatMap(into -> into.all().stream())
                .toList();
    }
}
