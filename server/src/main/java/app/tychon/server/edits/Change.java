package app.tychon.server.edits;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jakarta.annotation.Nullable;

/**
 * One object before and after an edit.
 *
 * @param section as the project file calls it
 * @param key the object's own within the section
 * @param before absent where the edit made it
 * @param after absent where the edit removed it
 */
record Change(String section, String key, @Nullable State before, @Nullable State after) {

    /**
     * An object as it stands in its section.
     *
     * @param is in the words of the project file
     * @param index its place, where the edit made, removed or moved it; -1 where it stays in place
     * @param follows the object it comes after; absent for the first, and where it stays in place
     */
    record State(ObjectNode is, int index, @Nullable String follows) {}

    Change turned() {
        return new Change(section, key, after, before);
    }
}
