package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * What differs between two versions of a list whose elements have keys.
 *
 * @param added   elements only the later list has, in its order
 * @param changed elements of both that differ, as they are later
 * @param removed keys only the earlier list has, in its order
 * @param moved   keys of both that stand elsewhere among the others; as few as explain the new order
 */
public record Delta<T>(List<T> added, List<T> changed, List<String> removed, Set<String> moved) {

    public static <T> Delta<T> of(List<T> before, List<T> after, Function<T, String> key) {
        if (before.equals(after)) {
            return new Delta<>(List.of(), List.of(), List.of(), Set.of());
        }
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < before.size(); i++) {
            places.put(key.apply(before.get(i)), i);
        }
        List<T> added = new ArrayList<>();
        List<T> changed = new ArrayList<>();
        Map<String, Integer> stayed = new LinkedHashMap<>();
        for (T element : after) {
            String name = key.apply(element);
            Integer place = places.get(name);
            if (place == null) {
                added.add(element);
                continue;
            }
            stayed.put(name, place);
            if (!before.get(place).equals(element)) {
                changed.add(element);
            }
        }
        List<String> removed = before.stream()
                .map(key)
                .filter(name -> !stayed.containsKey(name))
                .toList();
        return new Delta<>(added, changed, removed, moved(stayed));
    }

    public boolean isEmpty() {
        return added.isEmpty() && changed.isEmpty() && removed.isEmpty() && moved.isEmpty();
    }

    private static Set<String> moved(Map<String, Integer> stayed) {
        List<String> names = List.copyOf(stayed.keySet());
        int[] places = stayed.values().stream().mapToInt(Integer::intValue).toArray();
        Set<String> moved = new HashSet<>(names);
        for (int at : longestRise(places)) {
            moved.remove(names.get(at));
        }
        return moved;
    }

    /** Indices of a longest rising subsequence (Fredman 1975), O(n log n). */
    private static int[] longestRise(int[] values) {
        int[] lastOf = new int[values.length];
        int[] previous = new int[values.length];
        int length = 0;
        for (int i = 0; i < values.length; i++) {
            int low = 0;
            int high = length;
            while (low < high) {
                int middle = (low + high) >>> 1;
                if (values[lastOf[middle]] < values[i]) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            previous[i] = low == 0 ? -1 : lastOf[low - 1];
            lastOf[low] = i;
            length = Math.max(length, low + 1);
        }
        int[] rise = new int[length];
        for (int k = length - 1, at = length == 0 ? -1 : lastOf[length - 1]; k >= 0; k--) {
            rise[k] = at;
            at = previous[at];
        }
        return rise;
    }
}
