package app.tychon.core.model;

import java.util.Locale;

/**
 * A finding of the plan check that somebody has looked at and that is no fault here.
 *
 * @param check  the word of the check, such as {@code openFinish}
 * @param on     id of the activity, or {@link Plan#PROJECT}
 * @param reason why it is no fault
 */
public record Acceptance(String check, String on, String reason) {
    /** The word of what a check looks for: OPEN_START is written openStart. */
    public static String word(Enum<?> fault) {
        String[] parts = fault.name().toLowerCase(Locale.ROOT).split("_");
        StringBuilder word = new StringBuilder(parts[0]);
        for (int i = 1; i < parts.length; i++) {
            word.append(Character.toUpperCase(parts[i].charAt(0))).append(parts[i].substring(1));
        }
        return word.toString();
    }

    /** What an acceptance is known by: the check and what it is about. */
    public static String key(String check, String on) {
        return check + " " + on;
    }

    public String key() {
        return key(check, on);
    }
}
