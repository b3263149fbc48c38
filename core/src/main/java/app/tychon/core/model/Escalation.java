package app.tychon.core.model;

/**
 * By how much money of a category costs more a year, from the project's start on.
 *
 * @param category of cost lines and resources; everything beneath it, too, that has none of its own; empty for all
 * @param perYear  share of the price, 0.04 for four percent; uncertain where its shape is
 */
public record Escalation(String category, Shape perYear) {
    private static final int LONGEST = 50;

    /** What it is known by: its category, as far as that fits into an id. */
    String key() {
        return "prices " + (category.length() <= LONGEST ? category : Integer.toHexString(category.hashCode()));
    }
}
