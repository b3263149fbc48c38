package app.tychon.core.model;

import java.util.Map;
import java.util.Optional;

/** Categories of a project's own cost breakdown: names apart by a slash, each level within the one before. */
public final class Categories {
    private static final String WITHIN = "/";

    private Categories() {}

    /** Whether a category is another or lies beneath it; everything lies beneath the empty one. */
    public static boolean isWithin(String category, String other) {
        return other.isEmpty() || category.equals(other) || category.startsWith(other + WITHIN);
    }

    /** The category above; empty at the top. */
    public static String above(String category) {
        int slash = category.lastIndexOf(WITHIN);
        return slash < 0 ? "" : category.substring(0, slash);
    }

    /** What is said of a category, or of the nearest above it; what is said of the empty one holds for all. */
    public static <T> Optional<T> nearest(Map<String, T> said, String category) {
        for (String at = category; ; at = above(at)) {
            if (said.containsKey(at)) {
                return Optional.of(said.get(at));
            }
            if (at.isEmpty()) {
                return Optional.empty();
            }
        }
    }
}
