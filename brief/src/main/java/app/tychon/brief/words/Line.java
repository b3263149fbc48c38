package app.tychon.brief.words;

import java.util.List;
import java.util.stream.Collectors;

/**
 * A paragraph as it is read.
 *
 * @param template with its fields in braces
 * @param changed  fields that said something else when somebody typed the words beside them
 */
public record Line(String template, List<Piece> pieces, List<Change> changed) {
    /**
     * Words, or a number in them.
     *
     * @param field empty for words
     * @param lost  whether there is no such number any more
     */
    public record Piece(String text, String field, boolean lost) {}

    /** @param was what the field said then */
    public record Change(String field, String was, String now) {}

    public Line {
        pieces = List.copyOf(pieces);
        changed = List.copyOf(changed);
    }

    public String text() {
        return pieces.stream().map(Piece::text).collect(Collectors.joining());
    }
}
