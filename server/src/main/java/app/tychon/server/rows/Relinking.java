package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.schedule.PredecessorText;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.stream.Collectors;

/** New predecessors of activities, out of a list of edits. */
final class Relinking {
    private final Map<String, List<Link>> links = new LinkedHashMap<>();

    private Relinking() {}

    /**
     * @param idOf     the activity each edit is about
     * @param problems is told what cannot be read, with pointers into the list of edits
     */
    static Relinking of(Plan plan, List<RowEdit> edits, IntFunction<String> idOf, List<Problem> problems) {
        Relinking relinking = new Relinking();
        Map<String, String> ids = plan.activities().stream()
                .map(Activity::id)
                .collect(Collectors.toMap(id -> id.toLowerCase(Locale.ROOT), Function.identity(), (a, b) -> a));
        for (int i = edits.size() - 1; i >= 0; i--) {
            RowEdit edit = edits.get(i);
            String id = idOf.apply(i);
            if (edit.predecessors() != null && ids.containsKey(id.toLowerCase(Locale.ROOT))) {
                String pointer = "/" + i + "/predecessors";
                // A minus as it is printed is as good as the one on the keyboard.
                String text = JsonCursor.at(edit.predecessors(), pointer, problems)
                        .text()
                        .replace('\u2212', '-');
                relinking.links.putIfAbsent(
                        id,
                        PredecessorText.read(
                                text,
                                id,
                                word -> Optional.ofNullable(ids.get(word.toLowerCase(Locale.ROOT))),
                                message -> problems.add(new Problem(pointer, message))));
            }
        }
        return relinking;
    }

    Plan apply(Plan plan) {
        if (links.isEmpty()) {
            return plan;
        }
        List<Link> all = new ArrayList<>(plan.links());
        all.removeIf(link -> links.containsKey(link.to()));
        links.values().forEach(all::addAll);
        return plan.withLinks(all);
    }
}
