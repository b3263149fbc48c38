package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.List;

/** What a name and a date must be, wherever in a plan they stand. */
final class TextRules {
    private TextRules() {}

    static List<Problem> name(String pointer, String name) {
        if (name.isBlank()) {
            return List.of(new Problem(pointer, "the name is empty"));
        }
        return text(pointer, name, Bounds.LONGEST_NAME);
    }

    /** A text of at most so many characters, which may be empty, and which every database and file can keep. */
    static List<Problem> text(String pointer, String text, int longest) {
        if (text.length() > longest) {
            return List.of(new Problem(
                    pointer, "at most %,d characters fit here; these are %,d".formatted(longest, text.length())));
        }
        return text.codePoints()
                .filter(TextRules::isUnfit)
                .mapToObj(c -> new Problem(
                        pointer,
                        "there is a character in it that no text holds: U+%04X; take it out, or type it anew"
                                .formatted(c)))
                .limit(1)
                .toList();
    }

    /** Half a character, or one that controls a printer; a tab and the end of a line are neither. */
    private static boolean isUnfit(int c) {
        boolean breaks = c == '\t' || c == '\n' || c == '\r';
        return c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE || Character.isISOControl(c) && !breaks;
    }

    /** A number with a bound on its size, whatever its sign. */
    static List<Problem> number(String pointer, double value, double largest) {
        return Math.abs(value) <= largest
                ? List.of()
                : List.of(new Problem(
                        pointer,
                        "is beyond what can be calculated with, " + EstimateRules.text(largest) + "; this is "
                                + EstimateRules.text(value)));
    }

    static List<Problem> date(String pointer, LocalDateTime date) {
        if (date.toLocalDate().isBefore(CalendarRules.EARLIEST)
                || date.toLocalDate().isAfter(CalendarRules.LATEST)) {
            return List.of(new Problem(
                    pointer,
                    "dates must lie between " + CalendarRules.EARLIEST + " and " + CalendarRules.LATEST + "; this is "
                            + date.toLocalDate()));
        }
        return List.of();
    }
}
