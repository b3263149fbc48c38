package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.words.Line;
import app.tychon.core.model.BriefBlock.Kind;
import java.util.List;
import java.util.Optional;

/**
 * A block as it is read.
 *
 * @param lines  paragraphs
 * @param byHand whether its words were typed rather than written from the numbers
 * @param notes  how it is to be read
 * @param fault  why it could not be told in full; nothing where it could
 */
public record Told(
        String id,
        Kind kind,
        String heading,
        List<Line> lines,
        boolean byHand,
        Optional<Drawing> drawing,
        Optional<Grid> grid,
        List<String> notes,
        Optional<String> fault) {
    public Told {
        lines = List.copyOf(lines);
        notes = List.copyOf(notes);
    }
}
