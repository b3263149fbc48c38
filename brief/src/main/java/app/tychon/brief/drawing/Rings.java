package app.tychon.brief.drawing;

import java.awt.geom.Arc2D;
import java.awt.geom.Path2D;
import java.util.List;

/** Shares of futures, a ring each that fills. */
public final class Rings {
    private static final double ROW = 26;
    private static final double LINE = 15;
    private static final double NAMES = 400;

    public record Row(double share, String name, String words) {}

    private Rings() {}

    public static Drawing of(List<Row> rows, String alt) {
        Pen pen = new Pen();
        double y = 2;
        for (Row row : rows) {
            pen.circle(12, y + 12, 7, Ink.LINE, 3);
            pen.stroke(
                    new Path2D.Double(new Arc2D.Double(5, y + 5, 14, 14, 90, -360 * row.share(), Arc2D.OPEN)),
                    Ink.INDIGO,
                    3);
            int lines = pen.words(32, y + 16, row.name(), NAMES - 40, Ink.INK);
            pen.label(NAMES, y + 16, row.words(), Mark.Anchor.START, Ink.INK);
            y += ROW + LINE * (lines - 1);
        }
        return pen.drawing(Drawing.PAGE, y + 2, alt);
    }
}
