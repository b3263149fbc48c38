package app.tychon.exchange;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;

/** An estimate in the words of the project file: {@code {"shape":"triangular","low":10,"likely":12,"high":18,…}}. */
public final class EstimateJson {
    private EstimateJson() {}

    /** @param usual the basis that holds where none is written */
    public static Estimate read(JsonCursor at, Basis usual) {
        Shape shape = ShapeJson.read(at, Set.of("basis"));
        return new Estimate(shape, at.optional("basis", Words::basis).orElse(usual));
    }

    public static ObjectNode write(Estimate estimate) {
        ObjectNode node = ShapeJson.write(estimate.shape());
        node.put("basis", Words.of(estimate.basis()));
        return node;
    }

    /** The word of a shape. */
    public static String word(Shape shape) {
        return ShapeJson.write(shape).get("shape").asText();
    }
}
