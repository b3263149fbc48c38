package app.tychon.exchange;

import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Briefs in the words of the project file. */
public final class BriefJson {
    private BriefJson() {}

    public static Brief read(JsonCursor at) {
        at.allow(Set.of("id", "name", "title", "locale", "paper", "days", "confidential", "run", "scenario", "blocks"));
        return new Brief(
                at.get("id").text(),
                at.get("name").text(),
                at.optional("title", JsonCursor::text).orElse(""),
                at.optional("locale", JsonCursor::text).orElse(Brief.USUAL_LOCALE),
                at.optional("paper", one -> Words.read(one, Brief.Paper.values()))
                        .orElse(Brief.Paper.A4),
                at.optional("days", one -> Words.read(one, Brief.Days.values())).orElse(Brief.Days.WORKING),
                at.optional("confidential", JsonCursor::text).orElse(""),
                at.optional("run", JsonCursor::whole),
                at.optional("scenario", JsonCursor::text),
                at.list("blocks", BriefJson::block));
    }

    public static BriefBlock block(JsonCursor at) {
        at.allow(Set.of(
                "id",
                "kind",
                "heading",
                "words",
                "seen",
                "show",
                "of",
                "level",
                "depth",
                "rows",
                "since",
                "scenarios",
                "owner",
                "period",
                "decisions"));
        return new BriefBlock(
                at.get("id").text(),
                Words.read(at.get("kind"), BriefBlock.Kind.values()),
                at.optional("heading", JsonCursor::text).orElse(""),
                at.optional("words", words -> words.elements(JsonCursor::text)),
                seen(at.get("seen")),
                at.optional("show", one -> Words.read(one, BriefBlock.Show.values())),
                at.optional("of", JsonCursor::text),
                at.optional("level", JsonCursor::whole),
                at.optional("depth", JsonCursor::whole),
                at.optional("rows", JsonCursor::whole),
                at.optional("since", JsonCursor::whole),
                at.list("scenarios", JsonCursor::text),
                at.optional("owner", JsonCursor::text).orElse(""),
                at.optional("period", one -> Words.read(one, BriefBlock.Period.values())),
                at.list("decisions", BriefJson::decision));
    }

    private static Map<String, String> seen(JsonCursor at) {
        Map<String, String> seen = new LinkedHashMap<>();
        if (!at.isAbsent()) {
            at.fields().forEach(field -> seen.put(field, at.get(field).text()));
        }
        return seen;
    }

    private static BriefBlock.Decision decision(JsonCursor at) {
        at.allow(Set.of("what", "who", "by", "cost"));
        return new BriefBlock.Decision(
                at.get("what").text(),
                at.optional("who", JsonCursor::text).orElse(""),
                at.optional("by", JsonCursor::date),
                at.optional("cost", JsonCursor::number));
    }

    public static ObjectNode write(Brief brief) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", brief.id());
        node.put("name", brief.name());
        node.put("title", brief.title());
        node.put("locale", brief.locale());
        node.put("paper", Words.of(brief.paper()));
        node.put("days", Words.of(brief.days()));
        filled(node, "confidential", brief.confidential());
        brief.run().ifPresent(number -> node.put("run", number));
        brief.scenario().ifPresent(scenario -> node.put("scenario", scenario));
        ArrayNode blocks = node.putArray("blocks");
        brief.blocks().forEach(block -> blocks.add(write(block)));
        return node;
    }

    public static ObjectNode write(BriefBlock block) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", block.id());
        node.put("kind", Words.of(block.kind()));
        filled(node, "heading", block.heading());
        block.words().ifPresent(words -> words.forEach(node.putArray("words")::add));
        if (!block.seen().isEmpty()) {
            ObjectNode seen = node.putObject("seen");
            block.seen().forEach(seen::put);
        }
        block.show().ifPresent(show -> node.put("show", Words.of(show)));
        block.of().ifPresent(of -> node.put("of", of));
        number(node, "level", block.level());
        number(node, "depth", block.depth());
        number(node, "rows", block.rows());
        number(node, "since", block.since());
        if (!block.scenarios().isEmpty()) {
            block.scenarios().forEach(node.putArray("scenarios")::add);
        }
        filled(node, "owner", block.owner());
        block.period().ifPresent(period -> node.put("period", Words.of(period)));
        decisions(node, block.decisions());
        return node;
    }

    private static void decisions(ObjectNode node, List<BriefBlock.Decision> decisions) {
        if (decisions.isEmpty()) {
            return;
        }
        ArrayNode array = node.putArray("decisions");
        decisions.forEach(decision -> {
            ObjectNode one = array.addObject();
            one.put("what", decision.what());
            filled(one, "who", decision.who());
            decision.by().ifPresent(day -> one.put("by", day.toString()));
            decision.cost().ifPresent(cost -> Numbers.put(one, "cost", cost));
        });
    }

    private static void filled(ObjectNode node, String field, String text) {
        if (!text.isEmpty()) {
            node.put(field, text);
        }
    }

    private static void number(ObjectNode node, String field, Optional<Integer> number) {
        number.ifPresent(value -> node.put(field, value));
    }
}
