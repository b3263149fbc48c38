package app.tychon.server.risks;

import app.tychon.core.model.Impact;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.Words;
import app.tychon.exchange.risks.ChanceText;
import app.tychon.exchange.risks.EffectText;
import app.tychon.exchange.risks.EffectText.About;
import app.tychon.exchange.risks.Targets;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The fields of a risk as an edit gives them: those of the project file, and those that are read as people write them. */
final class RiskFields {
    private static final Set<String> OF_THE_EDIT = Set.of("id", "add", "code");
    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("title", "Title"),
            Map.entry("kind", "Kind"),
            Map.entry("state", "State"),
            Map.entry("category", "Category"),
            Map.entry("owner", "Owner"),
            Map.entry("cause", "Cause"),
            Map.entry("event", "Event"),
            Map.entry("consequence", "Consequence"),
            Map.entry("notes", "Notes"),
            Map.entry("code", "Code"),
            Map.entry("chance", "Chance"),
            Map.entry("probability", "Chance"),
            Map.entry("time", "Effect on time"),
            Map.entry("money", "Effect on money"),
            Map.entry("impacts", "Effects"),
            Map.entry("response", "Response"),
            Map.entry("chanceAfter", "Response"),
            Map.entry("timeAfter", "Response"),
            Map.entry("moneyAfter", "Response"),
            Map.entry("strategy", "Strategy"),
            Map.entry("score", "Score"),
            Map.entry("scoreAfter", "Score after response"),
            Map.entry("recurrence", "Recurrence"),
            Map.entry("onlyIf", "Dependence"),
            Map.entry("exclusiveGroup", "Exclusive group"),
            Map.entry("history", "History"));

    private final Plan plan;
    private final Targets targets;

    RiskFields(Plan plan, Targets targets) {
        this.plan = plan;
        this.targets = targets;
    }

    /** What a field is called in the history of edits. */
    static String word(String field) {
        return WORDS.getOrDefault(field, "Entry");
    }

    /** A risk of which nothing is known yet. */
    static Risk fresh(String id) {
        return new Risk(
                id,
                "New risk",
                Risk.Kind.THREAT,
                Risk.State.OPEN,
                "",
                "",
                0,
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                RegisterEntry.NONE);
    }

    /** @param pointer of the edit; problems are told with it */
    Risk edited(Risk risk, JsonNode edit, String pointer, List<Problem> problems) {
        ObjectNode words = RiskJson.write(risk);
        edit.properties().forEach(field -> {
            if (OF_THE_EDIT.contains(field.getKey()) || isText(field.getKey())) {
                return;
            }
            if (field.getValue().isNull()) {
                words.remove(field.getKey());
            } else {
                words.set(field.getKey(), field.getValue());
            }
        });
        leaveState(edit, words);
        leaveKind(risk, edit, words);
        Risk read = RiskJson.read(JsonCursor.at(words, pointer, problems));
        return texts(read, JsonCursor.at(edit, pointer, problems));
    }

    /** Why it is closed, and what it took, hold only while it is. */
    private static void leaveState(JsonNode edit, ObjectNode words) {
        String state = words.path("state").asText();
        if (edit.has("state") && !state.equals("closed") && !edit.has("closedBecause")) {
            words.remove("closedBecause");
        }
        if (edit.has("state") && !state.equals("occurred") && !edit.has("occurred")) {
            words.remove("occurred");
        }
    }

    /** What is meant to be done about a threat is seldom what is meant about an opportunity. */
    private static void leaveKind(Risk risk, JsonNode edit, ObjectNode words) {
        boolean other = edit.has("kind") && !edit.get("kind").asText().equals(Words.of(risk.kind()));
        if (other && !edit.has("strategy") && !words.path("strategy").asText().equals("accept")) {
            words.remove("strategy");
        }
    }

    private static boolean isText(String field) {
        return switch (field) {
            case "chance", "time", "money", "chanceAfter", "timeAfter", "moneyAfter" -> true;
            default -> false;
        };
    }

    private Risk texts(Risk risk, JsonCursor at) {
        Risk now = risk;
        now = said(at, "chance", now, (one, text) -> ChanceText.read(text, plan.scheme())
                .in(one));
        now = said(at, "time", now, (one, text) -> one.withImpacts(put(one.impacts(), text, About.TIME)));
        now = said(at, "money", now, (one, text) -> one.withImpacts(put(one.impacts(), text, About.MONEY)));
        now = said(
                at,
                "chanceAfter",
                now,
                (one, text) -> answered(
                        one,
                        r -> r.withProbability(
                                ChanceText.read(text, plan.scheme()).probability())));
        now = said(
                at,
                "timeAfter",
                now,
                (one, text) -> answered(one, r -> r.withImpacts(put(r.impacts(), text, About.TIME))));
        return said(
                at,
                "moneyAfter",
                now,
                (one, text) -> answered(one, r -> r.withImpacts(put(r.impacts(), text, About.MONEY))));
    }

    /** What a text makes of a risk. */
    private interface Saying {
        Risk of(Risk risk, String text);
    }

    private static Risk said(JsonCursor at, String field, Risk risk, Saying saying) {
        Optional<String> text = at.optional(field, JsonCursor::text);
        try {
            return text.map(said -> saying.of(risk, said)).orElse(risk);
        } catch (IllegalArgumentException e) {
            at.get(field).problem(e.getMessage());
            return risk;
        }
    }

    /** A response begins with what the risk is without it. */
    private static Risk answered(Risk risk, UnaryOperator<Response> change) {
        Response response =
                risk.response().orElseGet(() -> new Response(risk.probability(), risk.impacts(), List.of()));
        return risk.withResponse(Optional.of(change.apply(response)));
    }

    /**
     * Effects of a kind in place of those that were. A text that names the other kind alone adds to that.
     */
    private List<Impact> put(List<Impact> now, String text, About about) {
        List<Impact> read = EffectText.read(text, about, targets);
        boolean foreign = !read.isEmpty() && read.stream().noneMatch(about::holds);
        List<Impact> all = new ArrayList<>(
                now.stream().filter(impact -> foreign || !about.holds(impact)).toList());
        all.addAll(read);
        return all;
    }
}
