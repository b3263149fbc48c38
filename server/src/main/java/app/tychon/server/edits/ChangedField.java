package app.tychon.server.edits;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;

/**
 * A field that differs. What is no text or number is told by its name alone.
 *
 * @param before in the words of the project file
 */
public record ChangedField(String name, @Nullable String before, @Nullable String after) {
    public static ChangedField of(String name, @Nullable JsonNode before, @Nullable JsonNode after) {
        return new ChangedField(name, text(before), text(after));
    }

    @Nullable
    private static String text(@Nullable JsonNode value) {
        return value == null || value.isContainerNode() || value.isNull() ? null : value.asText();
    }
}
