package app.tychon.server.plan;

import app.tychon.core.model.Activity;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.table.PredecessorText;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** New predecessors of activities, out of a list of edits. */
final class Relinking {
    private final Map<String, List<Link>> links = new LinkedHashMap<>();
    /** Where the first edit of predecessors stands in the list. */
    private int first;

    private Relinking() {}

    /** @param problems is told what cannot be read, with pointers into the list of edits */
    static Relinking of(Plan plan, List<ActivityEdit> edits, List<Problem> problems) {
        Relinking relinking = new Relinking();
        Map<String, String> ids = plan.activities().stream()
                .map(Activity::id)
                .collect(Collectors.toMap(id -> id.toLowerCase(Locale.ROOT), Function.identity(), (a, b) -> a));
        for (int i = edits.size() - 1; i >= 0; i--) {
            ActivityEdit edit = edits.get(i);
            if (edit.predecessors() != null && ids.containsValue(edit.id())) {
                String pointer = "/" + i + "/predecessors";
                // A minus as it is printed is as good as the one on the keyboard.
                String text = JsonCursor.at(edit.predecessors(), pointer, problems)
                        .text()
                        .replace('\u2212', '-');
                relinking.first = i;
                relinking.links.putIfAbsent(
                        edit.id(),
                        PredecessorText.read(
                                text,
                                edit.id(),
                                word -> Optional.ofNullable(ids.get(word.toLowerCase(Locale.ROOT))),
                                message -> problems.add(new Problem(pointer, message))));
            }
        }
        return relinking;
    }

    boolean isEmpty() {
        return links.isEmpty();
    }

    /** Codes of the activities whose predecessors change. */
    Collection<String> activities() {
        return links.keySet();
    }

    /** The new links, in the order in which they are kept. */
    List<Link> added() {
        return links.values().stream().flatMap(List::stream).toList();
    }

    /** Codes of everything a new link touches. */
    Collection<String> touched() {
        List<String> codes = new ArrayList<>(links.keySet());
        added().forEach(link -> codes.add(link.from()));
        return codes;
    }

    Plan apply(Plan plan) {
        List<Link> all = new ArrayList<>(plan.links());
        all.removeIf(link -> links.containsKey(link.to()));
        all.addAll(added());
        return isEmpty() ? plan : plan.withLinks(all);
    }

    /** What the logic as a whole makes impossible, told where predecessors were edited. */
    InvalidPlanException toldHere(InvalidPlanException e) {
        return isEmpty()
                ? e
                : new InvalidPlanException(e.problems().stream()
                        .map(p -> new Problem("/" + first + "/predecessors", p.message()))
                        .distinct()
                        .toList());
    }

    Map<String, List<LinkView>> views() {
        Map<String, List<LinkView>> views = new LinkedHashMap<>();
        links.forEach(
                (id, into) -> views.put(id, into.stream().map(LinkView::of).toList()));
        return views;
    }
}
