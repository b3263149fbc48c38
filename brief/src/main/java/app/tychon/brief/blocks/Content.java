package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Drawing;
import java.util.List;
import java.util.Optional;

/**
 * What a block has to say by itself.
 *
 * @param words paragraphs with fields in braces
 * @param notes how it is to be read; paler
 */
record Content(List<String> words, Optional<Drawing> drawing, Optional<Grid> grid, List<String> notes) {
    Content {
        words = List.copyOf(words);
        notes = List.copyOf(notes);
    }

    static Content words(List<String> words) {
        return new Content(words, Optional.empty(), Optional.empty(), List.of());
    }
}
