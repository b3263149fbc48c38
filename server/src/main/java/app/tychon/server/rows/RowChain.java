package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Activities in their order, into which others are put one by one; behind another, each at the same price, however many there are. */
final class RowChain {
    private static final class Row {
        private final Activity activity;
        private Row next;

        Row(Activity activity) {
            this.activity = activity;
        }
    }

    private final Row head = new Row(null);
    private final Map<String, Row> byId = new HashMap<>();
    private Row tail = head;

    RowChain(List<Activity> activities) {
        activities.forEach(activity -> insert(tail, activity));
    }

    Optional<Activity> find(String id) {
        return Optional.ofNullable(byId.get(id)).map(row -> row.activity);
    }

    /** Behind another, which must be there. */
    void addAfter(String id, Activity activity) {
        insert(byId.get(id), activity);
    }

    /** First or behind the last of a branch's own activities; at the end, where it has none. Looks through all rows. */
    void addIn(String branch, boolean first, Activity activity) {
        Row place = tail;
        boolean found = false;
        for (Row row = head; row.next != null; row = row.next) {
            if (row.next.activity.wbs().equals(branch) && !(first && found)) {
                place = first ? row : row.next;
                found = true;
            }
        }
        insert(place, activity);
    }

    private void insert(Row before, Activity activity) {
        Row row = new Row(activity);
        row.next = before.next;
        before.next = row;
        tail = before == tail ? row : tail;
        byId.putIfAbsent(activity.id(), row);
    }

    List<Activity> all() {
        List<Activity> all = new ArrayList<>(byId.size());
        for (Row row = head.next; row != null; row = row.next) {
            all.add(row.activity);
        }
        return all;
    }
}
