package app.tychon.core.model;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What a hammock needs: something that opens it and something that closes it, neither of them itself. */
final class HammockRules {
    private HammockRules() {}

    static List<Problem> problems(Plan plan) {
        Found found = new Found();
        Set<String> hammocks = new HashSet<>();
        plan.activities().stream().filter(Activity::isHammock).forEach(a -> hammocks.add(a.id()));
        if (hammocks.isEmpty()) {
            return List.of();
        }
        Set<String> opened = new HashSet<>();
        Set<String> closed = new HashSet<>();
        for (Link link : plan.links()) {
            if (hammocks.contains(link.to())) {
                (link.type().toStart() ? opened : closed).add(link.to());
            } else if (hammocks.contains(link.from())) {
                (link.type().fromFinish() ? closed : opened).add(link.from());
            }
        }
        for (int i = 0; i < plan.activities().size(); i++) {
            Activity activity = plan.activities().get(i);
            String pointer = "/activities/" + i;
            if (activity.isHammock() && !opened.contains(activity.id())) {
                found.add(pointer, "nothing opens this hammock: link an activity to its start, such as with SS");
            }
            if (activity.isHammock() && !closed.contains(activity.id())) {
                found.add(pointer, "nothing closes this hammock: link an activity to its finish, such as with FF");
            }
        }
        return found.all();
    }
}
