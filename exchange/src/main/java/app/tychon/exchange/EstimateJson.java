package app.tychon.exchange;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;

/** An estimate in the words of the project file: {@code {"shape":"triangular","low":10,"likely":12,"high":18,…}}. */
public final class EstimateJson {
    private EstimateJson() {}

    /** @param usual the basis that holds where none is written */
    public static Estimate read(JsonCursor at, Basis usual) {
        Shape shape =
                switch (at.get("shape").isAbsent() ? "" : at.get("shape").text()) {
                    case "fixed" -> {
                        at.allow(Set.of("shape", "value", "basis"));
                        yield new Shape.Fixed(at.get("value").number());
                    }
                    case "uniform" -> {
                        at.allow(Set.of("shape", "low", "high", "basis"));
                        yield new Shape.Uniform(
                                at.get("low").number(), at.get("high").number());
                    }
                    case "triangular" -> {
                        at.allow(Set.of("shape", "low", "likely", "high", "basis"));
                        yield new Shape.Triangular(
                                at.get("low").number(),
                                at.get("likely").number(),
                                at.get("high").number());
                    }
                    case "pert" -> {
                        at.allow(Set.of("shape", "low", "likely", "high", "weight", "basis"));
                        yield new Shape.Pert(
                                at.get("low").number(),
                                at.get("likely").number(),
                                at.get("high").number(),
                                at.optional("weight", JsonCursor::number).orElse(Shape.Pert.USUAL_WEIGHT));
                    }
                    default -> {
                        at.get("shape")
                                .problem("must be one of fixed, uniform, triangular, pert, not "
                                        + at.get("shape").quoted());
                        yield new Shape.Fixed(1);
                    }
                };
        return new Estimate(shape, at.optional("basis", Words::basis).orElse(usual));
    }

    public static ObjectNode write(Estimate estimate) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        Shape shape = estimate.shape();
        if (shape instanceof Shape.Fixed s) {
            node.put("shape", "fixed");
            Numbers.put(node, "value", s.value());
        } else if (shape instanceof Shape.Uniform s) {
            node.put("shape", "uniform");
            Numbers.put(node, "low", s.low());
            Numbers.put(node, "high", s.high());
        } else if (shape instanceof Shape.Triangular s) {
            node.put("shape", "triangular");
            threePoints(node, s.low(), s.likely(), s.high());
        } else if (shape instanceof Shape.Pert s) {
            node.put("shape", "pert");
            threePoints(node, s.low(), s.likely(), s.high());
            if (s.weight() != Shape.Pert.USUAL_WEIGHT) {
                Numbers.put(node, "weight", s.weight());
            }
        }
        node.put("basis", Words.of(estimate.basis()));
        return node;
    }

    private static void threePoints(ObjectNode node, double low, double likely, double high) {
        Numbers.put(node, "low", low);
        Numbers.put(node, "likely", likely);
        Numbers.put(node, "high", high);
    }
}
