package app.tychon.brief.drawing;

import java.awt.geom.Path2D;

/** One thing in a drawing. Lengths are those of the drawing, 96 to the inch. */
public sealed interface Mark {
    /** A shape that is filled. @param opacity 0 to 1 */
    record Area(Path2D shape, Ink ink, double opacity) implements Mark {}

    /** A line along a shape. */
    record Stroke(Path2D shape, Ink ink, double width, boolean dashed) implements Mark {}

    /**
     * Words.
     *
     * @param x where its start, middle or end stands
     * @param y of its baseline
     */
    record Label(double x, double y, String text, Anchor anchor, double size, boolean strong, Ink ink)
            implements Mark {}

    enum Anchor {
        START,
        MIDDLE,
        END
    }
}
