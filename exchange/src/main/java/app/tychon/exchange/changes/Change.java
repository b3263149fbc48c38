package app.tychon.exchange.changes;

import com.fasterxml.jackson.databind.node.ObjectNode;

/**
 * One object before and after an edit.
 *
 * @param section as the project file calls it
 * @param key the object's own within the section
 * @param before absent where the edit made it
 * @param after absent where the edit removed it
 */
public record Change(String section, String key, State before, State after) {

    /**
     * An object as it stands in its section.
     *
     * @param is in the words of the project file
     * @param index its place, where the edit made, removed or moved it; -1 where it stays in place
     * @param follows the object it comes after; absent for the first, and where it stays in place
     */
    public record State(ObjectNode is, int index, String follows) {}

    public Change turned() {
        return new Change(section, key, after, before);
    }
}
