package app.tychon.server.briefs;

import app.tychon.brief.Starter;
import app.tychon.core.model.Brief;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.BriefJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.JsonText;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Codes;
import app.tychon.server.rows.RowPointer;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.StreamSupport;

/**
 * Briefs changed field by field and block by block, and new ones.
 *
 * @see BriefWords
 */
final class BriefEdits implements Edit {
    private static final Set<String> OF_THE_EDIT = Set.of("id", "add", "starter", "from", "blocks", "without", "order");

    private final List<JsonNode> edits = new ArrayList<>();
    private final List<String> about = new ArrayList<>();

    BriefEdits(JsonNode body) {
        body.forEach(edits::add);
    }

    @Override
    public Outcome apply(Plan plan) {
        Map<String, Brief> briefs = new LinkedHashMap<>();
        plan.briefs().forEach(one -> briefs.put(one.id(), one));
        List<Problem> problems = new ArrayList<>();
        about.clear();
        String label = "";
        for (int i = 0; i < edits.size(); i++) {
            JsonNode edit = edits.get(i);
            JsonCursor at = JsonCursor.at(edit, "/" + i, problems);
            boolean isNew = at.optional("add", JsonCursor::truth).orElse(false);
            String asked = at.get("id").text();
            String id = isNew && asked.isBlank() ? Codes.free("B", List.copyOf(briefs.keySet())) : asked;
            about.add(id);
            if (isNew == briefs.containsKey(id)) {
                at.get("id").problem((isNew ? "there is already a brief \"" : "there is no brief \"") + id + "\"");
                continue;
            }
            Brief before = isNew ? fresh(id, at, plan, briefs) : briefs.get(id);
            ObjectNode words = BriefJson.write(before);
            edit.properties().stream()
                    .filter(field -> !OF_THE_EDIT.contains(field.getKey()))
                    .forEach(field -> JsonText.put(words, field.getKey(), field.getValue()));
            new BlockEdits(words, at).apply();
            Brief after = BriefJson.read(JsonCursor.at(words, "/" + i, problems));
            briefs.put(id, after);
            label = label(isNew, before, after, edit);
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return new Outcome(plan.withBriefs(List.copyOf(briefs.values())), label);
    }

    /** One of a starter, or a copy of another. */
    private static Brief fresh(String id, JsonCursor at, Plan plan, Map<String, Brief> briefs) {
        Optional<String> from = at.optional("from", JsonCursor::text);
        if (from.isPresent()) {
            Brief model = briefs.get(from.get());
            if (model != null) {
                return model.withId(id).withName(freeName(model.name(), briefs));
            }
            at.get("from").problem("there is no brief \"" + from.get() + "\"");
        }
        Starter starter = at.optional("starter", BriefEdits::starter).orElse(Starter.BLANK);
        Brief brief = starter.brief(
                id, freeName(starter.called(), briefs), plan.project().name());
        return briefs.values().stream()
                .reduce((one, later) -> later)
                .map(last -> brief.withLocale(last.locale())
                        .withPaper(last.paper())
                        .withDays(last.days())
                        .withConfidential(last.confidential()))
                .orElse(brief);
    }

    private static Starter starter(JsonCursor at) {
        String name = at.text();
        for (Starter one : Starter.values()) {
            if (one.name().equals(name)) {
                return one;
            }
        }
        at.problem("must be one of " + List.of(Starter.values()) + ", not " + at.quoted());
        return Starter.BLANK;
    }

    private static String freeName(String wanted, Map<String, Brief> briefs) {
        List<String> taken = briefs.values().stream().map(Brief::name).toList();
        return taken.contains(wanted) ? Codes.free(wanted.replaceFirst("\\s+\\d+$", "") + " ", taken) : wanted;
    }

    private static String label(boolean isNew, Brief before, Brief after, JsonNode edit) {
        String name = "brief “" + after.name() + "”";
        if (isNew) {
            return "New " + name;
        }
        if (!before.run().equals(after.run()) || !before.scenario().equals(after.scenario())) {
            return "Numbers of " + name;
        }
        boolean words =
                StreamSupport.stream(edit.path("blocks").spliterator(), false).anyMatch(block -> block.has("words"));
        return (words ? "Words of " : before.blocks().equals(after.blocks()) ? "Settings of " : "Blocks of ") + name;
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return RowPointer.told(problem, "briefs", i -> plan.briefs().get(i).id(), about);
    }
}
