package app.tychon.server.confirm;

import app.tychon.core.model.Plan;
import app.tychon.exchange.changes.PlanObjects;
import app.tychon.server.database.Keys;
import app.tychon.server.inbox.About;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What people are asked to confirm: a risk as the register has it, or the range of a row. */
final class Confirmable {
    static final String RISKS = "risks";
    static final String RANGES = "ranges";
    /** Sections whose objects have ranges, and the fields that say them. */
    private static final Map<String, List<String>> RANGED = Map.of(
            "activities", List.of("duration", "estimate", "grade", "evidence"),
            "wbs", List.of("grade"),
            "costs", List.of("amount", "rate", "estimate", "grade", "evidence"));

    private Confirmable() {}

    /** What would be confirmed, in the words of the project file; nothing where it is not there. */
    static Optional<JsonNode> find(Plan plan, About about) {
        if (about.section().equals(RISKS)) {
            return PlanObjects.find(plan, RISKS, about.key()).map(JsonNode.class::cast);
        }
        if (!about.section().equals(RANGES)) {
            return Optional.empty();
        }
        return RANGED.entrySet().stream()
                .flatMap(section -> PlanObjects.find(plan, section.getKey(), about.key()).stream()
                        .map(node -> (JsonNode) node.deepCopy().retain(section.getValue())))
                .findFirst();
    }

    /** Tells one state of it from another. */
    static Optional<byte[]> digest(Plan plan, About about) {
        return find(plan, about).map(node -> Keys.digest(node.toString()));
    }
}
