package app.tychon.brief.words;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A paragraph with fields in braces; what looks like no field is words, braces and all. */
public record Template(List<Part> parts) {
    private static final Pattern FIELD = Pattern.compile("\\{([\\p{L}\\p{N}._:-]+)}");

    /** @param field the name of a field; empty for words */
    public record Part(String words, String field) {
        public boolean isField() {
            return !field.isEmpty();
        }
    }

    public static Template of(String text) {
        List<Part> parts = new ArrayList<>();
        Matcher matcher = FIELD.matcher(text);
        int at = 0;
        while (matcher.find()) {
            if (matcher.start() > at) {
                parts.add(new Part(text.substring(at, matcher.start()), ""));
            }
            parts.add(new Part("", matcher.group(1)));
            at = matcher.end();
        }
        if (at < text.length()) {
            parts.add(new Part(text.substring(at), ""));
        }
        return new Template(List.copyOf(parts));
    }
}
