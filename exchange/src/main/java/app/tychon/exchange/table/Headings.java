package app.tychon.exchange.table;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** Which column of a table says what, whatever the table is about. */
public final class Headings {
    private Headings() {}

    /** By their headers; the first of several that say the same counts. */
    public static <M extends Enum<M> & Meaning> Map<M, Integer> guess(Class<M> meanings, List<String> header) {
        Map<M, Integer> columns = new EnumMap<>(meanings);
        for (int i = 0; i < header.size(); i++) {
            String title = header.get(i).strip().toLowerCase(Locale.ROOT).replace('_', ' ');
            for (M meaning : meanings.getEnumConstants()) {
                if (meaning.headers().contains(title)) {
                    columns.putIfAbsent(meaning, i);
                }
            }
        }
        return columns;
    }

    /**
     * @param subject what the table is about, with its article
     * @throws IllegalArgumentException for a word that is no title
     */
    public static <M extends Enum<M> & Meaning> M called(Class<M> meanings, String title, String subject) {
        return Arrays.stream(meanings.getEnumConstants())
                .filter(meaning -> meaning.title().equals(title))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("a column of " + subject + " says one of "
                        + Arrays.stream(meanings.getEnumConstants())
                                .map(Meaning::title)
                                .collect(Collectors.joining(", "))
                        + ", not \"" + title + "\""));
    }
}
