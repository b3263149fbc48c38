package app.tychon.exchange;

import app.tychon.core.model.Correlation;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Shape;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/** Grades, correlations and evidence in the words of the project file. */
public final class SpreadJson {
    private SpreadJson() {}

    public static Grade grade(JsonCursor at) {
        Shape shape = ShapeJson.read(at, Set.of("id", "name", "mark", "note"));
        return new Grade(
                at.get("id").text(),
                at.get("name").text(),
                shape,
                at.optional("mark", JsonCursor::text).orElse(""),
                at.optional("note", JsonCursor::text).orElse(""));
    }

    public static ObjectNode write(Grade grade) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", grade.id());
        node.put("name", grade.name());
        if (!grade.mark().isEmpty()) {
            node.put("mark", grade.mark());
        }
        if (!grade.note().isEmpty()) {
            node.put("note", grade.note());
        }
        node.setAll(ShapeJson.write(grade.shape()));
        return node;
    }

    public static Correlation correlation(JsonCursor at) {
        at.allow(Set.of("id", "name", "members", "coefficient", "matrix"));
        return new Correlation(
                at.get("id").text(),
                at.optional("name", JsonCursor::text).orElse(""),
                at.list("members", JsonCursor::text),
                at.optional("coefficient", JsonCursor::number)
                        .map(OptionalDouble::of)
                        .orElse(OptionalDouble.empty()),
                at.list("matrix", row -> row.elements(JsonCursor::number)));
    }

    public static ObjectNode write(Correlation correlation) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", correlation.id());
        node.put("name", correlation.name());
        ArrayNode members = node.putArray("members");
        correlation.members().forEach(members::add);
        correlation.coefficient().ifPresent(c -> Numbers.put(node, "coefficient", c));
        if (!correlation.matrix().isEmpty()) {
            ArrayNode matrix = node.putArray("matrix");
            for (List<Double> row : correlation.matrix()) {
                ArrayNode values = matrix.addArray();
                row.forEach(values::add);
            }
        }
        return node;
    }

    /** Observations are pairs of planned and actual values, or the actual values alone. */
    public static Evidence evidence(JsonCursor at) {
        at.allow(Set.of("id", "name", "observations", "on"));
        return new Evidence(
                at.get("id").text(),
                at.get("name").text(),
                at.get("observations").elements(SpreadJson::observation),
                at.list("on", JsonCursor::text));
    }

    private static Evidence.Observation observation(JsonCursor at) {
        List<Double> values = at.elements(JsonCursor::number);
        if (values.isEmpty() || values.size() > 2) {
            at.problem("an observation is [actual], or [planned, actual]");
            return new Evidence.Observation(OptionalDouble.empty(), 0);
        }
        return new Evidence.Observation(
                values.size() == 1 ? OptionalDouble.empty() : OptionalDouble.of(values.get(0)),
                values.get(values.size() - 1));
    }

    public static ObjectNode write(Evidence evidence) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", evidence.id());
        node.put("name", evidence.name());
        ArrayNode observations = node.putArray("observations");
        for (Evidence.Observation one : evidence.observations()) {
            ArrayNode values = observations.addArray();
            one.planned().ifPresent(values::add);
            values.add(one.actual());
        }
        ArrayNode on = node.putArray("on");
        evidence.on().forEach(on::add);
        return node;
    }
}
