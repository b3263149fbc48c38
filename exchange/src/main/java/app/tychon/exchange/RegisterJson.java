package app.tychon.exchange;

import app.tychon.core.model.Basis;
import app.tychon.core.model.PastEvents;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.RegisterEntry.Occurrence;
import app.tychon.core.model.Score;
import app.tychon.core.model.Strategy;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** What the register tells of a risk beside what is simulated, in the words of the project file. */
final class RegisterJson {
    static final Set<String> FIELDS = Set.of(
            "cause",
            "event",
            "consequence",
            "notes",
            "from",
            "to",
            "strategy",
            "closedBecause",
            "occurred",
            "score",
            "scoreAfter",
            "history");

    private RegisterJson() {}

    static RegisterEntry read(JsonCursor at) {
        return new RegisterEntry(
                text(at, "cause"),
                text(at, "event"),
                text(at, "consequence"),
                text(at, "notes"),
                at.optional("from", JsonCursor::date),
                at.optional("to", JsonCursor::date),
                at.optional("strategy", word -> Words.read(word, Strategy.values())),
                text(at, "closedBecause"),
                at.optional("occurred", RegisterJson::occurrence),
                at.optional("score", RegisterJson::score),
                at.optional("scoreAfter", RegisterJson::score),
                at.optional("history", RegisterJson::history));
    }

    private static String text(JsonCursor at, String field) {
        return at.optional(field, JsonCursor::text).orElse("");
    }

    private static Occurrence occurrence(JsonCursor at) {
        at.allow(Set.of("on", "days", "money"));
        return new Occurrence(
                at.get("on").date(),
                at.optional("days", JsonCursor::number).orElse(0.0),
                at.optional("money", JsonCursor::number).orElse(0.0));
    }

    /** Kinds of effect are fields of their own, beside that of chance. */
    private static Score score(JsonCursor at) {
        Map<String, Integer> effects = new HashMap<>();
        for (String kind : at.fields()) {
            if (!kind.equals("chance")) {
                effects.put(kind, at.get(kind).whole());
            }
        }
        return new Score(at.optional("chance", JsonCursor::whole).orElse(0), effects);
    }

    private static PastEvents history(JsonCursor at) {
        at.allow(Set.of("years", "count", "unit", "mean", "sd", "events"));
        List<PastEvents.Event> events = at.list("events", RegisterJson::event);
        return new PastEvents(
                at.get("years").number(),
                at.optional("count", JsonCursor::whole).orElse(events.size()),
                at.optional("unit", Words::basis).orElse(Basis.DAYS),
                at.optional("mean", JsonCursor::number).orElse(0.0),
                at.optional("sd", JsonCursor::number).orElse(0.0),
                events);
    }

    private static PastEvents.Event event(JsonCursor at) {
        at.allow(Set.of("on", "amount"));
        return new PastEvents.Event(
                at.optional("on", JsonCursor::date), at.get("amount").number());
    }

    static void write(ObjectNode node, RegisterEntry entry) {
        put(node, "cause", entry.cause());
        put(node, "event", entry.event());
        put(node, "consequence", entry.consequence());
        put(node, "notes", entry.notes());
        entry.from().ifPresent(day -> node.put("from", day.toString()));
        entry.to().ifPresent(day -> node.put("to", day.toString()));
        entry.strategy().ifPresent(strategy -> node.put("strategy", Words.of(strategy)));
        put(node, "closedBecause", entry.closedBecause());
        entry.occurred().ifPresent(occurred -> {
            ObjectNode one = node.putObject("occurred").put("on", occurred.on().toString());
            Numbers.put(one, "days", occurred.days());
            Numbers.put(one, "money", occurred.money());
        });
        entry.score().ifPresent(score -> score(node.putObject("score"), score));
        entry.scoreAfter().ifPresent(score -> score(node.putObject("scoreAfter"), score));
        entry.history().ifPresent(history -> history(node.putObject("history"), history));
    }

    private static void put(ObjectNode node, String field, String text) {
        if (!text.isEmpty()) {
            node.put(field, text);
        }
    }

    private static void score(ObjectNode node, Score score) {
        if (score.chance() > 0) {
            node.put("chance", score.chance());
        }
        new TreeMap<>(score.effects()).forEach(node::put);
    }

    private static void history(ObjectNode node, PastEvents history) {
        Numbers.put(node, "years", history.years());
        node.put("count", history.count());
        node.put("unit", Words.of(history.unit()));
        if (history.events().isEmpty()) {
            Numbers.put(node, "mean", history.mean());
            Numbers.put(node, "sd", history.sd());
            return;
        }
        ArrayNode events = node.putArray("events");
        for (PastEvents.Event event : history.events()) {
            ObjectNode one = events.addObject();
            event.on().ifPresent(day -> one.put("on", day.toString()));
            Numbers.put(one, "amount", event.amount());
        }
    }
}
