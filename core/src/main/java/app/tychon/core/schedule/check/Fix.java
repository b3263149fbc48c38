package app.tychon.core.schedule.check;

import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import java.util.ArrayList;
import java.util.List;

/** Links to take out, each once, and links to put in, that mend a finding. */
public record Fix(List<Link> removed, List<Link> added) {
    public Fix {
        removed = List.copyOf(removed);
        added = List.copyOf(added);
    }

    public Plan applyTo(Plan plan) {
        List<Link> links = new ArrayList<>(plan.links());
        removed.forEach(links::remove);
        links.addAll(added);
        return plan.withLinks(links);
    }
}
