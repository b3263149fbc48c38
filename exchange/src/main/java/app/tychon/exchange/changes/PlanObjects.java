package app.tychon.exchange.changes;

import app.tychon.core.model.Plan;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/** Single objects of a plan, in the words of the project file. */
public final class PlanObjects {
    private PlanObjects() {}

    /**
     * An object by its section and its key within it.
     *
     * @return nothing where the plan has no such section, or no such object in it
     */
    public static Optional<ObjectNode> find(Plan plan, String section, String key) {
        return Kept.ALL.stream()
                .filter(kept -> kept.name().equals(section))
                .findFirst()
                .flatMap(kept -> find(kept, plan, key));
    }

    private static <T> Optional<ObjectNode> find(Kept<T> section, Plan plan, String key) {
        return section.of().apply(plan).stream()
                .filter(one -> section.key().apply(one).equals(key))
                .findFirst()
                .map(section.write());
    }
}
