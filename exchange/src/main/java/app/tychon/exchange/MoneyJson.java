package app.tychon.exchange;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Resource;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;

/** Cost lines, resources and their assignments in the words of the project file. */
public final class MoneyJson {
    private MoneyJson() {}

    public static CostLine cost(JsonCursor at) {
        at.allow(Set.of("id", "name", "on", "amount", "fixedShare", "timing", "grade", "estimate"));
        return new CostLine(
                at.get("id").text(),
                at.get("name").text(),
                at.get("on").text(),
                at.get("amount").number(),
                at.optional("fixedShare", JsonCursor::number).orElse(1.0),
                at.optional("timing", Words::timing).orElse(CostTiming.EVEN),
                at.optional("grade", JsonCursor::text),
                at.optional("estimate", estimate -> EstimateJson.read(estimate, Basis.FACTOR)));
    }

    public static ObjectNode write(CostLine line) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", line.id());
        node.put("name", line.name());
        node.put("on", line.on());
        Numbers.put(node, "amount", line.amount());
        Numbers.put(node, "fixedShare", line.fixedShare());
        node.put("timing", Words.of(line.timing()));
        line.grade().ifPresent(grade -> node.put("grade", grade));
        line.estimate().ifPresent(e -> node.set("estimate", EstimateJson.write(e)));
        return node;
    }

    public static Resource resource(JsonCursor at) {
        at.allow(Set.of("id", "name", "rate", "per"));
        return new Resource(
                at.get("id").text(),
                at.get("name").text(),
                at.get("rate").number(),
                Words.read(at.get("per"), Resource.Per.values()));
    }

    public static ObjectNode write(Resource resource) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", resource.id());
        node.put("name", resource.name());
        Numbers.put(node, "rate", resource.rate());
        node.put("per", Words.of(resource.per()));
        return node;
    }

    public static Assignment assignment(JsonCursor at) {
        at.allow(Set.of("activity", "resource", "units"));
        return new Assignment(
                at.get("activity").text(),
                at.get("resource").text(),
                at.optional("units", JsonCursor::number).orElse(1.0));
    }

    public static ObjectNode write(Assignment assignment) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("activity", assignment.activity());
        node.put("resource", assignment.resource());
        Numbers.put(node, "units", assignment.units());
        return node;
    }
}
