package app.tychon.exchange;

import app.tychon.core.model.Part;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;

/** The projects that a programme's plan consists of, in the words of the project file. */
final class PartJson {
    private PartJson() {}

    static Part read(JsonCursor at) {
        at.allow(Set.of("code", "name", "draws", "start", "dataDate", "calendar", "lagCalendar"));
        return new Part(
                at.get("code").text(),
                at.get("name").text(),
                at.optional("draws", JsonCursor::text).orElse(""),
                at.get("start").dateTime(),
                at.optional("dataDate", JsonCursor::dateTime),
                at.get("calendar").text(),
                Words.lagCalendar(at.get("lagCalendar")));
    }

    static ObjectNode write(Part part) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("code", part.code());
        node.put("name", part.name());
        if (!part.draws().isEmpty()) {
            node.put("draws", part.draws());
        }
        node.put("start", part.start().toString());
        part.dataDate().ifPresent(date -> node.put("dataDate", date.toString()));
        node.put("calendar", part.calendar());
        node.put("lagCalendar", Words.of(part.lagCalendar()));
        return node;
    }
}
