package app.tychon.exchange;

import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A row of the risk register in the words of the project file. */
public final class RiskJson {
    private static final Set<String> FIELDS = Stream.concat(
                    Stream.of(
                            "id",
                            "title",
                            "kind",
                            "state",
                            "category",
                            "owner",
                            "probability",
                            "impacts",
                            "recurrence",
                            "onlyIf",
                            "exclusiveGroup",
                            "response"),
                    RegisterJson.FIELDS.stream())
            .collect(Collectors.toUnmodifiableSet());

    private RiskJson() {}

    public static Risk read(JsonCursor at) {
        at.allow(FIELDS);
        return new Risk(
                at.get("id").text(),
                at.get("title").text(),
                at.optional("kind", kind -> Words.read(kind, Risk.Kind.values()))
                        .orElse(Risk.Kind.THREAT),
                at.optional("state", state -> Words.read(state, Risk.State.values()))
                        .orElse(Risk.State.OPEN),
                at.optional("category", JsonCursor::text).orElse(""),
                at.optional("owner", JsonCursor::text).orElse(""),
                probability(at),
                at.list("impacts", RiskJson::impact),
                at.optional("recurrence", RiskJson::recurrence),
                at.optional("onlyIf", RiskJson::condition),
                at.optional("exclusiveGroup", JsonCursor::text),
                at.optional("response", RiskJson::response),
                RegisterJson.read(at));
    }

    /** What recurs is certain to be at work where no probability is said. */
    private static double probability(JsonCursor at) {
        boolean implied =
                at.get("probability").isAbsent() && !at.get("recurrence").isAbsent();
        return implied ? 1 : at.get("probability").number();
    }

    public static Impact impact(JsonCursor at) {
        at.allow(Set.of("on", "effect", "draw", "distribution"));
        Impact.Effect effect = Words.read(at.get("effect"), Impact.Effect.values());
        return new Impact(
                at.list("on", JsonCursor::text),
                effect,
                at.optional("draw", draw -> Words.read(draw, Impact.Draw.values()))
                        .orElse(Impact.Draw.SHARED),
                EstimateJson.read(at.get("distribution"), usual(effect)));
    }

    private static Basis usual(Impact.Effect effect) {
        return switch (effect) {
            case ADD_TIME -> Basis.DAYS;
            case ADD_COST -> Basis.MONEY;
            case SCALE_TIME, SCALE_COST -> Basis.FACTOR;
        };
    }

    private static Recurrence recurrence(JsonCursor at) {
        if (!at.get("count").isAbsent()) {
            at.allow(Set.of("count"));
            return new Recurrence.Count(ShapeJson.read(at.get("count"), Set.of()));
        }
        at.allow(Set.of("perYear", "from", "to"));
        boolean dated = !at.get("from").isAbsent() || !at.get("to").isAbsent();
        return new Recurrence.PerYear(
                at.get("perYear").number(),
                dated
                        ? Optional.of(new Recurrence.Period(
                                at.get("from").date(), at.get("to").date()))
                        : Optional.empty());
    }

    private static Risk.Condition condition(JsonCursor at) {
        at.allow(Set.of("risk", "occurs"));
        return new Risk.Condition(
                at.get("risk").text(), at.optional("occurs", JsonCursor::truth).orElse(true));
    }

    private static Response response(JsonCursor at) {
        at.allow(Set.of("probability", "impacts", "actions", "decided"));
        return new Response(
                at.get("probability").number(),
                at.list("impacts", RiskJson::impact),
                at.list("actions", RiskJson::action),
                at.optional("decided", JsonCursor::truth).orElse(false));
    }

    private static Action action(JsonCursor at) {
        at.allow(Set.of("name", "cost", "start", "finish", "owner", "state", "progress", "done"));
        return new Action(
                at.get("name").text(),
                at.get("cost").number(),
                at.get("start").date(),
                at.get("finish").date(),
                at.optional("owner", JsonCursor::text).orElse(""),
                at.optional("state", state -> Words.read(state, Action.State.values()))
                        .orElse(Action.State.PLANNED),
                at.optional("progress", JsonCursor::number).orElse(0.0),
                at.optional("done", JsonCursor::date));
    }

    public static ObjectNode write(Risk risk) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", risk.id());
        node.put("title", risk.title());
        node.put("kind", Words.of(risk.kind()));
        node.put("state", Words.of(risk.state()));
        node.put("category", risk.category());
        node.put("owner", risk.owner());
        Numbers.put(node, "probability", risk.probability());
        impacts(node, risk.impacts());
        risk.recurrence().ifPresent(r -> recurrence(node.putObject("recurrence"), r));
        risk.onlyIf()
                .ifPresent(condition ->
                        node.putObject("onlyIf").put("risk", condition.risk()).put("occurs", condition.occurs()));
        risk.exclusiveGroup().ifPresent(group -> node.put("exclusiveGroup", group));
        risk.response().ifPresent(response -> response(node.putObject("response"), response));
        RegisterJson.write(node, risk.entry());
        return node;
    }

    /** Puts impacts into an object, as {@code impacts}. */
    public static void impacts(ObjectNode node, List<Impact> impacts) {
        ArrayNode array = node.putArray("impacts");
        for (Impact impact : impacts) {
            ObjectNode one = array.addObject();
            ArrayNode on = one.putArray("on");
            impact.on().forEach(on::add);
            one.put("effect", Words.of(impact.effect()));
            one.put("draw", Words.of(impact.draw()));
            one.set("distribution", EstimateJson.write(impact.distribution()));
        }
    }

    private static void recurrence(ObjectNode node, Recurrence recurrence) {
        if (recurrence instanceof Recurrence.PerYear often) {
            Numbers.put(node, "perYear", often.rate());
            often.over().ifPresent(over -> node.put("from", over.from().toString())
                    .put("to", over.to().toString()));
        } else if (recurrence instanceof Recurrence.Count count) {
            node.set("count", ShapeJson.write(count.shape()));
        }
    }

    private static void response(ObjectNode node, Response response) {
        Numbers.put(node, "probability", response.probability());
        impacts(node, response.impacts());
        ArrayNode actions = node.putArray("actions");
        for (Action action : response.actions()) {
            ObjectNode one = actions.addObject();
            one.put("name", action.name());
            Numbers.put(one, "cost", action.cost());
            one.put("start", action.start().toString());
            one.put("finish", action.finish().toString());
            one.put("owner", action.owner());
            one.put("state", Words.of(action.state()));
            if (action.progress() != 0) {
                Numbers.put(one, "progress", action.progress());
            }
            action.done().ifPresent(day -> one.put("done", day.toString()));
        }
        if (response.decided()) {
            node.put("decided", true);
        }
    }
}
