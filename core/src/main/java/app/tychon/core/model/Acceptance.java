package app.tychon.core.model;

import java.util.Locale;
import java.util.Optional;

/**
 * A finding of the plan check that somebody has looked at and that is no fault here.
 *
 * @param check  the word of the check, such as {@code openFinish}
 * @param on     id of the activity, or {@link Plan#PROJECT}
 * @param finding what was found, in its words; where it is empty, whatever the check finds there is accepted
 * @param reason why it is no fault
 */
public record Acceptance(String check, String on, String finding, String reason) {
    /** The word of what a check looks for: OPEN_START is written openStart. */
    public static String word(Enum<?> fault) {
        String[] parts = fault.name().toLowerCase(Locale.ROOT).split("_");
        StringBuilder word = new StringBuilder(parts[0]);
        for (int i = 1; i < parts.length; i++) {
            word.append(Character.toUpperCase(parts[i].charAt(0))).append(parts[i].substring(1));
        }
        return word.toString();
    }

    /** The one of a plan that covers what a check has found, if anybody has accepted it. */
    public static Optional<Acceptance> of(Plan plan, Enum<?> fault, String on, String message) {
        String word = word(fault);
        return plan.accepted().stream()
                .filter(one -> one.covers(word, on, message))
                .findFirst();
    }

    /** What it is known by: the check, what it is about, and the finding. */
    public String key() {
        return check + " " + on + (finding.isEmpty() ? "" : " " + Integer.toHexString(finding.hashCode()));
    }

    /** Whether it covers what a check has found: this finding only, so that another one is looked at anew. */
    public boolean covers(String word, String row, String message) {
        return check.equals(word) && on.equals(row) && (finding.isEmpty() || finding.equals(message));
    }
}
