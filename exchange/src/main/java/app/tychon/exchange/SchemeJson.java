package app.tychon.exchange;

import app.tychon.core.model.Scheme;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Set;

/** A scoring scheme in the words of the project file. */
public final class SchemeJson {
    private SchemeJson() {}

    public static Scheme read(JsonCursor at) {
        at.allow(Set.of("chance", "effects", "tolerated"));
        return new Scheme(
                at.list("chance", SchemeJson::level),
                at.list("effects", SchemeJson::scale),
                at.list("tolerated", JsonCursor::whole));
    }

    private static Scheme.Scale scale(JsonCursor at) {
        at.allow(Set.of("kind", "name", "unit", "levels"));
        String kind = at.get("kind").text();
        return new Scheme.Scale(
                kind,
                at.optional("name", JsonCursor::text).orElse(kind),
                at.optional("unit", JsonCursor::text).orElse(unit(kind)),
                at.list("levels", SchemeJson::level));
    }

    private static String unit(String kind) {
        return kind.equals(Scheme.TIME) ? "days" : kind.equals(Scheme.MONEY) ? "money" : "";
    }

    private static Scheme.Level level(JsonCursor at) {
        at.allow(Set.of("name", "from", "to"));
        return new Scheme.Level(
                at.get("name").text(),
                at.optional("from", JsonCursor::number).orElse(0.0),
                at.optional("to", JsonCursor::number).orElse(0.0));
    }

    public static ObjectNode write(Scheme scheme) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        levels(node.putArray("chance"), scheme.chance(), true);
        ArrayNode effects = node.putArray("effects");
        for (Scheme.Scale scale : scheme.effects()) {
            ObjectNode one = effects.addObject().put("kind", scale.kind()).put("name", scale.name());
            if (!scale.unit().isEmpty()) {
                one.put("unit", scale.unit());
            }
            levels(one.putArray("levels"), scale.levels(), scale.isMeasured());
        }
        ArrayNode tolerated = node.putArray("tolerated");
        scheme.tolerated().forEach(tolerated::add);
        return node;
    }

    private static void levels(ArrayNode array, List<Scheme.Level> levels, boolean measured) {
        for (Scheme.Level level : levels) {
            ObjectNode one = array.addObject().put("name", level.name());
            if (measured) {
                Numbers.put(one, "from", level.from());
                Numbers.put(one, "to", level.to());
            }
        }
    }
}
