package app.tychon.exchange;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** Single parts of a project file as text, for keeping them one by one. */
public final class JsonText {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private JsonText() {}

    public static String of(JsonNode part) {
        return part.toString();
    }

    /** Puts a field in its place; null takes it away. */
    public static void put(ObjectNode node, String field, JsonNode value) {
        if (value == null || value.isNull()) {
            node.remove(field);
        } else {
            node.set(field, value);
        }
    }

    /** @throws IllegalArgumentException with the reason for text that is no object */
    public static ObjectNode object(String text) {
        try {
            if (MAPPER.readTree(text) instanceof ObjectNode object) {
                return object;
            }
            throw new IllegalArgumentException("this is no object of JSON, such as {\"exclusiveGroup\":\"crane\"}");
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("this is not sound JSON: " + e.getOriginalMessage(), e);
        }
    }

    /** @throws InvalidPlanException for text that is no such part */
    public static <T> T read(String text, Function<JsonCursor, T> reader) {
        List<Problem> problems = new ArrayList<>();
        try {
            T value = reader.apply(JsonCursor.at(MAPPER.readTree(text), problems));
            if (problems.isEmpty()) {
                return value;
            }
        } catch (JsonProcessingException e) {
            problems.add(new Problem("", "this is not sound JSON: " + e.getOriginalMessage()));
        }
        throw new InvalidPlanException(problems);
    }
}
