package app.tychon.exchange;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Set;

/** Cost lines, resources and their assignments, rising prices and funding in the words of the project file. */
public final class MoneyJson {
    private MoneyJson() {}

    public static CostLine cost(JsonCursor at) {
        at.allow(Set.of(
                "id",
                "name",
                "on",
                "amount",
                "perDay",
                "fixedShare",
                "timing",
                "grade",
                "estimate",
                "category",
                "instalments",
                "spent",
                "toGo"));
        return new CostLine(
                at.get("id").text(),
                at.get("name").text(),
                at.get("on").text(),
                at.get("amount").number(),
                at.optional("perDay", JsonCursor::number),
                at.optional("fixedShare", JsonCursor::number).orElse(1.0),
                at.optional("timing", Words::timing).orElse(CostTiming.EVEN),
                at.optional("grade", JsonCursor::text),
                at.optional("estimate", estimate -> EstimateJson.read(estimate, Basis.FACTOR)),
                at.optional("category", JsonCursor::text).orElse(""),
                at.optional("instalments", MoneyJson::instalments).orElse(List.of()),
                at.optional("spent", JsonCursor::number),
                at.optional("toGo", JsonCursor::number));
    }

    public static List<Instalment> instalments(JsonCursor at) {
        return at.elements(MoneyJson::instalment);
    }

    private static Instalment instalment(JsonCursor at) {
        at.allow(Set.of("share", "date", "on", "end"));
        double share = at.get("share").number();
        if (at.get("date").isAbsent() == at.get("on").isAbsent()) {
            at.problem("an instalment falls due on a date, or when something is reached: date or on, one of both");
        }
        return at.get("on").isAbsent()
                ? Instalment.onDay(share, at.get("date").date())
                : Instalment.at(
                        share,
                        at.get("on").text(),
                        at.optional("end", end -> Words.read(end, Instalment.End.values()))
                                .orElse(Instalment.End.FINISH));
    }

    public static ObjectNode write(CostLine line) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", line.id());
        node.put("name", line.name());
        node.put("on", line.on());
        Numbers.put(node, "amount", line.amount());
        line.perDay().ifPresent(rate -> Numbers.put(node, "perDay", rate));
        Numbers.put(node, "fixedShare", line.fixedShare());
        node.put("timing", Words.of(line.timing()));
        line.grade().ifPresent(grade -> node.put("grade", grade));
        line.estimate().ifPresent(e -> node.set("estimate", EstimateJson.write(e)));
        putCategory(node, line.category());
        if (!line.instalments().isEmpty()) {
            node.set("instalments", instalments(line.instalments()));
        }
        line.spent().ifPresent(money -> Numbers.put(node, "spent", money));
        line.toGo().ifPresent(money -> Numbers.put(node, "toGo", money));
        return node;
    }

    private static void putCategory(ObjectNode node, String category) {
        if (!category.isEmpty()) {
            node.put("category", category);
        }
    }

    public static ArrayNode instalments(List<Instalment> all) {
        ArrayNode instalments = JsonNodeFactory.instance.arrayNode();
        all.forEach(one -> instalments.add(write(one)));
        return instalments;
    }

    private static ObjectNode write(Instalment instalment) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        Numbers.put(node, "share", instalment.share());
        if (instalment.due() instanceof Instalment.OnDay day) {
            node.put("date", day.date().toString());
        } else if (instalment.due() instanceof Instalment.Reached reached) {
            node.put("on", reached.on());
            node.put("end", Words.of(reached.end()));
        }
        return node;
    }

    public static Resource resource(JsonCursor at) {
        at.allow(Set.of("id", "name", "rate", "per", "rates", "limit", "category"));
        return new Resource(
                at.get("id").text(),
                at.get("name").text(),
                at.get("rate").number(),
                Words.read(at.get("per"), Resource.Per.values()),
                at.list("rates", MoneyJson::rate),
                at.optional("limit", JsonCursor::number),
                at.optional("category", JsonCursor::text).orElse(""));
    }

    private static Resource.RateFrom rate(JsonCursor at) {
        at.allow(Set.of("from", "rate"));
        return new Resource.RateFrom(at.get("from").date(), at.get("rate").number());
    }

    public static ObjectNode write(Resource resource) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", resource.id());
        node.put("name", resource.name());
        Numbers.put(node, "rate", resource.rate());
        node.put("per", Words.of(resource.per()));
        if (!resource.rates().isEmpty()) {
            ArrayNode rates = node.putArray("rates");
            resource.rates().forEach(one -> {
                ObjectNode rate = rates.addObject();
                rate.put("from", one.from().toString());
                Numbers.put(rate, "rate", one.rate());
            });
        }
        resource.limit().ifPresent(limit -> Numbers.put(node, "limit", limit));
        putCategory(node, resource.category());
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

    public static Escalation escalation(JsonCursor at) {
        at.allow(Set.of("category", "perYear"));
        JsonCursor perYear = at.get("perYear");
        return new Escalation(
                at.optional("category", JsonCursor::text).orElse(""),
                perYear.isNumber() || perYear.isAbsent()
                        ? new Shape.Fixed(perYear.number())
                        : ShapeJson.read(perYear, Set.of()));
    }

    public static ObjectNode write(Escalation escalation) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("category", escalation.category());
        if (escalation.perYear() instanceof Shape.Fixed fixed) {
            Numbers.put(node, "perYear", fixed.value());
        } else {
            node.set("perYear", ShapeJson.write(escalation.perYear()));
        }
        return node;
    }

    public static Funding funding(JsonCursor at) {
        at.allow(Set.of("date", "amount", "name"));
        return new Funding(
                at.get("date").date(),
                at.get("amount").number(),
                at.optional("name", JsonCursor::text).orElse(""));
    }

    public static ObjectNode write(Funding funding) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("date", funding.date().toString());
        Numbers.put(node, "amount", funding.amount());
        if (!funding.name().isEmpty()) {
            node.put("name", funding.name());
        }
        return node;
    }
}
