package app.tychon.exchange.programme;

import app.tychon.core.model.Link;
import app.tychon.core.programme.Tie;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.WorkJson;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Set;

/** What ties projects, in the words of the programme file. */
public final class TieJson {
    private TieJson() {}

    public static Tie read(JsonCursor at) {
        String kind = at.get("kind").text();
        String id = at.get("id").text();
        return switch (kind) {
            case "risk" -> {
                at.allow(Set.of("kind", "id", "risk", "others"));
                yield new Tie.SharedRisk(id, at.get("risk").text(), at.list("others", JsonCursor::text));
            }
            case "together" -> {
                at.allow(Set.of("kind", "id", "name", "members", "coefficient"));
                yield new Tie.Together(
                        id,
                        at.optional("name", JsonCursor::text).orElse(""),
                        at.list("members", JsonCursor::text),
                        at.get("coefficient").number());
            }
            case "resource" -> {
                at.allow(Set.of("kind", "id", "name", "resources", "limit"));
                yield new Tie.SharedResource(
                        id,
                        at.optional("name", JsonCursor::text).orElse(""),
                        at.list("resources", JsonCursor::text),
                        at.get("limit").number());
            }
            default -> {
                if (!kind.equals("logic")) {
                    at.get("kind").problem("must be one of logic, risk, together, resource, not \"" + kind + "\"");
                }
                yield logic(id, at);
            }
        };
    }

    private static Tie logic(String id, JsonCursor at) {
        at.allow(Set.of("kind", "id", "from", "to", "type", "lag"));
        Link link = WorkJson.linkIn(at);
        return new Tie.Logic(id, link.from(), link.to(), link.type(), link.lag());
    }

    public static ObjectNode write(Tie tie) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        if (tie instanceof Tie.Logic one) {
            node.put("kind", "logic").put("id", one.id());
            node.setAll(WorkJson.write(new Link(one.from(), one.to(), one.type(), one.lag())));
        } else if (tie instanceof Tie.SharedRisk one) {
            node.put("kind", "risk").put("id", one.id()).put("risk", one.risk());
            node.set("others", texts(one.others()));
        } else if (tie instanceof Tie.Together one) {
            node.put("kind", "together").put("id", one.id()).put("name", one.name());
            node.set("members", texts(one.members()));
            node.put("coefficient", one.coefficient());
        } else if (tie instanceof Tie.SharedResource one) {
            node.put("kind", "resource").put("id", one.id()).put("name", one.name());
            node.set("resources", texts(one.resources()));
            node.put("limit", one.limit());
        }
        return node;
    }

    private static JsonNode texts(List<String> all) {
        return all.stream()
                .collect(
                        JsonNodeFactory.instance::arrayNode,
                        (array, text) -> array.add(text),
                        (one, other) -> one.addAll(other));
    }
}
