package app.tychon.exchange;

import app.tychon.core.model.Problem;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * A place in a JSON document that can be read without ever failing: what is wrong there is noted, with its pointer, and
 * a harmless value stands in, so that the rest of the document is checked too.
 */
public final class JsonCursor {
    /** Nobody reads more; a file of garbage must not fill the memory with what is wrong with it. */
    public static final int MOST_PROBLEMS = 1000;

    private static final int LONGEST_QUOTE = 60;

    private final JsonNode node;
    private final String pointer;
    private final List<Problem> problems;

    private JsonCursor(JsonNode node, String pointer, List<Problem> problems) {
        this.node = node;
        this.pointer = pointer;
        this.problems = problems;
    }

    /** The root of a document; problems are added to the list given. */
    public static JsonCursor at(JsonNode root, List<Problem> problems) {
        return new JsonCursor(root, "", problems);
    }

    /** A part of a document that stands at a pointer. */
    public static JsonCursor at(JsonNode node, String pointer, List<Problem> problems) {
        return new JsonCursor(node, pointer, problems);
    }

    public void problem(String message) {
        if (problems.size() < MOST_PROBLEMS) {
            problems.add(new Problem(pointer, message));
        }
    }

    /** Whether so much is wrong that reading on would tell nothing new. */
    public boolean isHopeless() {
        return problems.size() >= MOST_PROBLEMS;
    }

    /** Refuses every field that is not among those named. Notes it, too, when this is no object at all. */
    public JsonCursor allow(Set<String> fields) {
        if (!node.isObject()) {
            problem(node.isMissingNode() ? "is missing" : "must be an object, not " + quoted());
            return this;
        }
        for (Iterator<String> names = node.fieldNames(); names.hasNext() && !isHopeless(); ) {
            String name = names.next();
            if (!fields.contains(name)) {
                get(name).problem("there is no such field");
            }
        }
        return this;
    }

    public JsonCursor get(String field) {
        JsonNode child = node.get(field);
        return new JsonCursor(
                child == null ? MissingNode.getInstance() : child,
                pointer + "/" + field.replace("~", "~0").replace("/", "~1"),
                problems);
    }

    /** Whether there is nothing here, or null. */
    public boolean isAbsent() {
        return node.isMissingNode() || node.isNull();
    }

    public <T> Optional<T> optional(String field, Function<JsonCursor, T> read) {
        JsonCursor at = get(field);
        return at.isAbsent() ? Optional.empty() : Optional.of(read.apply(at));
    }

    /** The elements of an array field, none where it is absent. */
    public <T> List<T> list(String field, Function<JsonCursor, T> read) {
        JsonCursor at = get(field);
        return at.isAbsent() ? List.of() : at.elements(read);
    }

    public <T> List<T> elements(Function<JsonCursor, T> read) {
        if (!node.isArray()) {
            problem("must be a list, not " + quoted());
            return List.of();
        }
        List<T> elements = new ArrayList<>();
        for (int i = 0; i < node.size() && !isHopeless(); i++) {
            elements.add(read.apply(element(i)));
        }
        return elements;
    }

    public JsonCursor element(int index) {
        JsonNode child = node.get(index);
        return new JsonCursor(child == null ? MissingNode.getInstance() : child, pointer + "/" + index, problems);
    }

    public String text() {
        if (node.isTextual()) {
            return node.textValue();
        }
        problem(isAbsent() ? "is missing" : "must be text, not " + quoted());
        return "?";
    }

    /** Whether a number stands here. */
    public boolean isNumber() {
        return node.isNumber();
    }

    public double number() {
        if (node.isNumber() && Double.isFinite(node.doubleValue())) {
            return node.doubleValue();
        }
        problem(isAbsent() ? "is missing" : "must be a number, not " + quoted());
        return 1;
    }

    /** A whole number that a program counts with. */
    public int whole() {
        if (node.isIntegralNumber() && node.canConvertToInt()) {
            return node.intValue();
        }
        problem(isAbsent() ? "is missing" : "must be a whole number, not " + quoted());
        return 1;
    }

    /** An object as it stands, of whatever fields. */
    public ObjectNode object() {
        if (node instanceof ObjectNode object) {
            return object;
        }
        problem(isAbsent() ? "is missing" : "must be an object, not " + quoted());
        return JsonNodeFactory.instance.objectNode();
    }

    /** The names of its fields; noted, with none, where this is no object. */
    public List<String> fields() {
        if (!node.isObject()) {
            problem("must be an object, not " + quoted());
            return List.of();
        }
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    public boolean truth() {
        if (node.isBoolean()) {
            return node.booleanValue();
        }
        problem(isAbsent() ? "is missing" : "must be true or false, not " + quoted());
        return false;
    }

    /** Whether a date without a time stands here. */
    public boolean isDate() {
        return node.isTextual() && node.textValue().matches("\\d{4}-\\d{2}-\\d{2}");
    }

    public LocalDateTime dateTime() {
        return parsed(
                "a date and time such as 2027-03-01T08:00", LocalDateTime::parse, LocalDateTime.of(2000, 1, 1, 8, 0));
    }

    public LocalDate date() {
        return parsed("a date such as 2027-03-01", LocalDate::parse, LocalDate.of(2000, 1, 1));
    }

    private <T> T parsed(String wanted, Function<String, T> parse, T instead) {
        if (!node.isTextual()) {
            problem(isAbsent() ? "is missing" : "must be " + wanted + ", not " + quoted());
            return instead;
        }
        try {
            return parse.apply(node.textValue());
        } catch (DateTimeParseException e) {
            problem("must be " + wanted + ", not " + quoted());
            return instead;
        }
    }

    /** The value of this place, as the message of a problem quotes it. */
    public String quoted() {
        String text = node.isContainerNode() ? (node.isArray() ? "a list" : "an object") : node.toString();
        return text.length() > LONGEST_QUOTE ? text.substring(0, LONGEST_QUOTE) + "…" : text;
    }
}
