package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.List;

/** What a name and a date must be, wherever in a plan they stand. */
final class TextRules {
    static final int LONGEST_NAME = 500;

    private TextRules() {}

    static List<Problem> name(String pointer, String name) {
        if (name.isBlank()) {
            return List.of(new Problem(pointer, "the name is empty"));
        }
        if (name.length() > LONGEST_NAME) {
            return List.of(new Problem(
                    pointer, "a name has at most " + LONGEST_NAME + " characters; this one has " + name.length()));
        }
        return List.of();
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
