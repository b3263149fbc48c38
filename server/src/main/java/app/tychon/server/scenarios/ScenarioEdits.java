package app.tychon.server.scenarios;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Scenario;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.ScenarioJson;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Codes;
import app.tychon.server.rows.RowPointer;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Scenarios changed switch by switch, and new ones.
 *
 * @see ScenarioWords
 */
final class ScenarioEdits implements Edit {
    private static final Set<String> OF_THE_EDIT = Set.of("id", "add", "from", "with", "forget");
    private static final Set<String> MAPS = Set.of("risks", "categories", "targets");

    private final List<JsonNode> edits = new ArrayList<>();
    private final List<String> about = new ArrayList<>();

    ScenarioEdits(JsonNode body) {
        body.forEach(edits::add);
    }

    @Override
    public Outcome apply(Plan plan) {
        Map<String, Scenario> scenarios = new LinkedHashMap<>();
        plan.scenarios().forEach(one -> scenarios.put(one.id(), one));
        List<Problem> problems = new ArrayList<>();
        about.clear();
        String label = "";
        for (int i = 0; i < edits.size(); i++) {
            JsonNode edit = edits.get(i);
            JsonCursor at = JsonCursor.at(edit, "/" + i, problems);
            boolean isNew = at.optional("add", JsonCursor::truth).orElse(false);
            String id = id(at, isNew, scenarios);
            about.add(id);
            if (isNew == scenarios.containsKey(id)) {
                at.get("id")
                        .problem(
                                isNew
                                        ? "there is already a scenario \"" + id + "\""
                                        : "there is no scenario \"" + id + "\"");
                continue;
            }
            Scenario before = isNew ? fresh(id, at, scenarios) : scenarios.get(id);
            ObjectNode words = laidOver(ScenarioJson.write(joined(before, at, scenarios)), edit);
            Scenario after = ScenarioJson.read(JsonCursor.at(words, "/" + i, problems));
            scenarios.put(id, after);
            label = label(isNew, before, after);
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return new Outcome(plan.withScenarios(List.copyOf(scenarios.values())), label);
    }

    private static String id(JsonCursor at, boolean isNew, Map<String, Scenario> scenarios) {
        String id = at.get("id").text();
        return isNew && id.isBlank() ? Codes.free("V", List.copyOf(scenarios.keySet())) : id;
    }

    /** One that differs in nothing yet, or a copy of another. */
    private static Scenario fresh(String id, JsonCursor at, Map<String, Scenario> scenarios) {
        Scenario blank = Scenario.of(id, freeName("Scenario", scenarios));
        return at.optional("from", JsonCursor::text)
                .map(from -> {
                    Scenario model = scenarios.get(from);
                    if (model == null) {
                        at.get("from").problem("there is no scenario \"" + from + "\"");
                        return blank;
                    }
                    return model.withId(id)
                            .withName(freeName(model.name(), scenarios))
                            .withPutAway(false);
                })
                .orElse(blank);
    }

    /** With the switches and edits of others; where two edit the same, the later one counts. */
    private static Scenario joined(Scenario scenario, JsonCursor at, Map<String, Scenario> scenarios) {
        Scenario joined = scenario;
        for (String id : at.list("with", JsonCursor::text)) {
            Scenario other = scenarios.get(id);
            if (other == null) {
                at.get("with").problem("there is no scenario \"" + id + "\"");
            } else {
                joined = joined.with(other);
            }
        }
        return joined;
    }

    private static String freeName(String wanted, Map<String, Scenario> scenarios) {
        List<String> taken = scenarios.values().stream().map(Scenario::name).toList();
        return Codes.free(wanted.replaceFirst("\\s+\\d+$", "") + " ", taken);
    }

    private static ObjectNode laidOver(ObjectNode words, JsonNode edit) {
        edit.properties().forEach(field -> {
            String name = field.getKey();
            JsonNode value = field.getValue();
            if (MAPS.contains(name) && value.isObject()) {
                ObjectNode map = words.withObject("/" + name);
                value.properties().forEach(entry -> JsonText.put(map, entry.getKey(), entry.getValue()));
            } else if (!OF_THE_EDIT.contains(name)) {
                JsonText.put(words, name, value);
            }
        });
        edit.path("forget").forEach(forgotten -> forget((ArrayNode) words.get("edits"), forgotten));
        return words;
    }

    private static void forget(ArrayNode edits, JsonNode forgotten) {
        for (int i = edits.size() - 1; i >= 0; i--) {
            boolean is = edits.get(i).path("section").equals(forgotten.path("section"))
                    && edits.get(i).path("key").equals(forgotten.path("key"));
            if (is) {
                edits.remove(i);
            }
        }
    }

    private static String label(boolean isNew, Scenario before, Scenario after) {
        String name = "scenario “" + after.name() + "”";
        if (isNew) {
            return "New " + name;
        }
        if (before.putAway() != after.putAway()) {
            return (after.putAway() ? "Put away " : "Brought back ") + name;
        }
        return before.equals(after.withName(before.name()).withNote(before.note()))
                ? "Name or note of " + name
                : "Switches of " + name;
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return RowPointer.told(
                problem, "scenarios", i -> plan.scenarios().get(i).id(), about);
    }
}
