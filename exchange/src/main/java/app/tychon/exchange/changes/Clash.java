package app.tychon.exchange.changes;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * A field that somebody changes who has not seen that it was changed meanwhile.
 *
 * @param section as the project file calls it
 * @param key the object's own within the section
 * @param field empty where the whole object is taken away
 * @param was before it was changed meanwhile; absent where there was nothing
 * @param theirs what it was changed to
 * @param mine what it is to become
 * @param of which of the changes made meanwhile was the last to touch it, counted from 0
 */
public record Clash(String section, String key, String field, JsonNode was, JsonNode theirs, JsonNode mine, int of) {
    /** Fields that a change and those made meanwhile, in the order in which they were made, both touch. */
    public static List<Clash> between(ChangeSet mine, List<ChangeSet> meanwhile) {
        List<Clash> clashes = new ArrayList<>();
        for (Change change : mine.changes()) {
            if (change.before() != null) {
                for (String field : touched(change)) {
                    add(change, field, meanwhile, clashes);
                }
            }
        }
        return clashes;
    }

    private static void add(Change mine, String field, List<ChangeSet> meanwhile, List<Clash> clashes) {
        Change first = null;
        int last = -1;
        for (int i = 0; i < meanwhile.size(); i++) {
            for (Change theirs : meanwhile.get(i).changes()) {
                if (theirs.section().equals(mine.section())
                        && theirs.key().equals(mine.key())
                        && (field.isEmpty() || touched(theirs).contains(field))) {
                    first = first == null ? theirs : first;
                    last = i;
                }
            }
        }
        if (first != null) {
            clashes.add(new Clash(
                    mine.section(),
                    mine.key(),
                    field,
                    value(first.before(), field),
                    value(mine.before(), field),
                    value(mine.after(), field),
                    last));
        }
    }

    /** The fields that differ; all at once, as an empty name, where the object goes or comes. */
    private static Set<String> touched(Change change) {
        Set<String> fields = new LinkedHashSet<>();
        if (change.before() == null || change.after() == null) {
            fields.add("");
            return fields;
        }
        ObjectNode before = change.before().is();
        ObjectNode after = change.after().is();
        before.fieldNames().forEachRemaining(fields::add);
        after.fieldNames().forEachRemaining(fields::add);
        fields.removeIf(name -> FieldMerge.same(before.get(name), after.get(name)));
        return fields;
    }

    private static JsonNode value(Change.State state, String field) {
        return state == null ? null : field.isEmpty() ? state.is() : state.is().get(field);
    }
}
