package app.tychon.server.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Places of rows in a table, with room between them, so that a new row seldom moves another. */
final class Places {
    static final int STEP = 1000;

    private Places() {}

    /**
     * The places that have to be written.
     *
     * @param order   all rows, as they shall stand
     * @param known   where rows stand now
     * @param settled whether a row may stay where it is; those that may, stand in order
     */
    static Map<String, Integer> of(List<String> order, Map<String, Integer> known, Predicate<String> settled) {
        Map<String, Integer> places = new HashMap<>();
        List<String> waiting = new ArrayList<>();
        int before = -STEP;
        for (String row : order) {
            if (!settled.test(row)) {
                waiting.add(row);
                continue;
            }
            int here = known.get(row);
            if (here - before <= waiting.size()) {
                return anew(order, known);
            }
            spread(waiting, before, (here - before) / (waiting.size() + 1.0), places);
            waiting.clear();
            before = here;
        }
        spread(waiting, before, STEP, places);
        return places;
    }

    private static void spread(List<String> rows, int before, double step, Map<String, Integer> places) {
        for (int i = 0; i < rows.size(); i++) {
            places.put(rows.get(i), before + (int) ((i + 1) * step));
        }
    }

    private static Map<String, Integer> anew(List<String> order, Map<String, Integer> known) {
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < order.size(); i++) {
            if (!Integer.valueOf(i * STEP).equals(known.get(order.get(i)))) {
                places.put(order.get(i), i * STEP);
            }
        }
        return places;
    }
}
