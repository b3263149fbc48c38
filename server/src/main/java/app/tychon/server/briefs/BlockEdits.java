package app.tychon.server.briefs;

import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.JsonText;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.rows.Codes;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Blocks of a brief changed, added, taken out and put in another order, in the words of the project file. */
final class BlockEdits {
    private static final Set<String> OF_THE_EDIT = Set.of("id", "add", "after", "was");

    private final ArrayNode blocks;
    private final JsonCursor at;

    /** @param brief in whose words they are changed */
    BlockEdits(ObjectNode brief, JsonCursor at) {
        blocks = (ArrayNode) brief.get("blocks");
        this.at = at;
    }

    /** @throws ConflictException where somebody else has typed other words meanwhile */
    void apply() {
        at.list("blocks", JsonCursor::object).forEach(this::change);
        at.list("without", JsonCursor::text).forEach(this::takeOut);
        order(at.list("order", JsonCursor::text));
    }

    private void change(ObjectNode edit) {
        boolean isNew = edit.path("add").asBoolean(false);
        String asked = edit.path("id").asText("");
        String id = isNew && asked.isBlank() ? Codes.free("b", ids()) : asked;
        int place = ids().indexOf(id);
        if (isNew == place >= 0) {
            at.get("blocks").problem((isNew ? "there is already a block \"" : "there is no block \"") + id + "\"");
            return;
        }
        ObjectNode block = isNew ? blocks.objectNode().put("id", id) : (ObjectNode) blocks.get(place);
        if (edit.has("words") && edit.has("was") && !same(block.path("words"), edit.get("was"))) {
            throw new ConflictException(
                    "Somebody else has changed the words of this block meanwhile. Yours are still in the field:"
                            + " look at theirs, then take what you want to keep.");
        }
        edit.properties().stream()
                .filter(field -> !OF_THE_EDIT.contains(field.getKey()))
                .forEach(field -> JsonText.put(block, field.getKey(), field.getValue()));
        if (isNew) {
            insert(block, edit.path("after"));
        }
    }

    private static boolean same(JsonNode there, JsonNode was) {
        return there.isMissingNode() ? was.isNull() : there.equals(was);
    }

    private void insert(ObjectNode block, JsonNode after) {
        if (after.isMissingNode() || after.isNull()) {
            blocks.add(block);
        } else {
            blocks.insert(ids().indexOf(after.asText()) + 1, block);
        }
    }

    private void takeOut(String id) {
        int place = ids().indexOf(id);
        if (place >= 0) {
            blocks.remove(place);
        }
    }

    /** Those that are not named keep to their place behind the one before them. */
    private void order(List<String> wanted) {
        if (wanted.isEmpty()) {
            return;
        }
        List<JsonNode> sorted = new ArrayList<>();
        wanted.stream()
                .distinct()
                .map(ids()::indexOf)
                .filter(place -> place >= 0)
                .forEach(place -> sorted.add(blocks.get(place)));
        for (int i = 0; i < blocks.size(); i++) {
            JsonNode block = blocks.get(i);
            if (!sorted.contains(block)) {
                int before = i == 0 ? -1 : sorted.indexOf(blocks.get(i - 1));
                sorted.add(before + 1, block);
            }
        }
        blocks.removeAll();
        sorted.forEach(blocks::add);
    }

    private List<String> ids() {
        List<String> ids = new ArrayList<>();
        blocks.forEach(block -> ids.add(block.path("id").asText()));
        return ids;
    }
}
