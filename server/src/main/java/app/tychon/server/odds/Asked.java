package app.tychon.server.odds;

import app.tychon.core.model.Plan;
import jakarta.annotation.Nullable;

/**
 * What odds are asked of.
 *
 * @param what start or finish, cost or duration; finish or cost where it is absent
 * @param of id of an activity or branch; the project where it is absent
 */
public record Asked(@Nullable String what, @Nullable String of) {

    /** The id of what is meant. */
    public String item() {
        return or(of, Plan.PROJECT);
    }

    public boolean isProject() {
        return item().equals(Plan.PROJECT);
    }

    /** What is meant of a date or an amount; {@code usual} where nothing is said. */
    public String quantity(String usual) {
        return or(what, usual);
    }

    private static String or(String said, String usual) {
        return said == null || said.isBlank() ? usual : said;
    }
}
