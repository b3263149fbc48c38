package app.tychon.exchange;

import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.ScenarioEdit;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Scenarios in the words of the project file. */
public final class ScenarioJson {
    private ScenarioJson() {}

    public static Scenario read(JsonCursor at) {
        at.allow(Set.of(
                "id",
                "name",
                "note",
                "putAway",
                "risks",
                "categories",
                "otherRisks",
                "estimates",
                "correlation",
                "targets",
                "edits"));
        JsonCursor targets = at.get("targets");
        boolean has = !targets.isAbsent();
        if (has) {
            targets.allow(Set.of("finish", "cost"));
        }
        return new Scenario(
                at.get("id").text(),
                at.get("name").text(),
                at.optional("note", JsonCursor::text).orElse(""),
                at.optional("putAway", JsonCursor::truth).orElse(false),
                switches(at.get("risks")),
                switches(at.get("categories")),
                at.optional("otherRisks", ScenarioJson::how).orElse(RiskSwitch.NOW),
                at.optional("estimates", JsonCursor::truth).orElse(true),
                at.optional("correlation", JsonCursor::truth).orElse(true),
                has ? targets.optional("finish", JsonCursor::dateTime) : Optional.<LocalDateTime>empty(),
                has ? targets.optional("cost", JsonCursor::number) : Optional.<Double>empty(),
                at.list("edits", ScenarioJson::edit));
    }

    private static RiskSwitch how(JsonCursor at) {
        return Words.read(at, RiskSwitch.values());
    }

    private static Map<String, RiskSwitch> switches(JsonCursor at) {
        Map<String, RiskSwitch> switches = new LinkedHashMap<>();
        if (!at.isAbsent()) {
            at.fields().forEach(name -> switches.put(name, how(at.get(name))));
        }
        return switches;
    }

    private static ScenarioEdit edit(JsonCursor at) {
        at.allow(Set.of("section", "key", "before", "after", "follows"));
        return new ScenarioEdit(
                at.get("section").text(),
                at.get("key").text(),
                at.optional("before", JsonCursor::object).map(ObjectNode::toString),
                at.optional("after", JsonCursor::object).map(ObjectNode::toString),
                at.optional("follows", JsonCursor::text));
    }

    public static ObjectNode write(Scenario scenario) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", scenario.id());
        node.put("name", scenario.name());
        if (!scenario.note().isEmpty()) {
            node.put("note", scenario.note());
        }
        if (scenario.putAway()) {
            node.put("putAway", true);
        }
        node.set("risks", switches(scenario.risks()));
        if (!scenario.categories().isEmpty()) {
            node.set("categories", switches(scenario.categories()));
        }
        if (scenario.others() != RiskSwitch.NOW) {
            node.put("otherRisks", Words.of(scenario.others()));
        }
        node.put("estimates", scenario.estimates());
        node.put("correlation", scenario.correlation());
        ObjectNode targets = node.putObject("targets");
        scenario.finish().ifPresent(date -> targets.put("finish", date.toString()));
        scenario.cost().ifPresent(budget -> Numbers.put(targets, "cost", budget));
        node.set("edits", edits(scenario.edits()));
        return node;
    }

    private static ObjectNode switches(Map<String, RiskSwitch> switches) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        switches.forEach((what, how) -> node.put(what, Words.of(how)));
        return node;
    }

    private static ArrayNode edits(List<ScenarioEdit> edits) {
        ArrayNode array = JsonNodeFactory.instance.arrayNode();
        edits.forEach(edit -> {
            ObjectNode node = array.addObject();
            node.put("section", edit.section());
            node.put("key", edit.key());
            edit.before().ifPresent(text -> node.set("before", JsonText.object(text)));
            edit.after().ifPresent(text -> node.set("after", JsonText.object(text)));
            edit.follows().ifPresent(key -> node.put("follows", key));
        });
        return array;
    }
}
