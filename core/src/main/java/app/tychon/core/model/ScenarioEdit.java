package app.tychon.core.model;

import java.util.Optional;

/**
 * How one object of a plan is other in a scenario. What an object says stands in the words of the project file, which core does
 * not read: of a change the fields that differ alone, of what came or went all of them.
 *
 * @param section as the project file calls it
 * @param key     the object's own within the section
 * @param before  what the plan said when the edit was made; nothing where the scenario added the object
 * @param after   what the scenario says; nothing where it takes the object away
 * @param follows the object after which it stands, where it was added; empty text for the first
 */
public record ScenarioEdit(
        String section, String key, Optional<String> before, Optional<String> after, Optional<String> follows) {
    /** Whether another one is of the same object. */
    public boolean isOfSame(ScenarioEdit other) {
        return section.equals(other.section) && key.equals(other.key);
    }
}
