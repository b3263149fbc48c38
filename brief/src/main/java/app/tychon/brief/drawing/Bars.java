package app.tychon.brief.drawing;

import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;

/** What moves something most, a bar each. */
public final class Bars {
    private static final double NAMES = 250;
    private static final double ROW = 24;
    private static final double LINE = 15;

    /** What something is: a disc, a triangle on its point or on its foot, a square. */
    public enum Sign {
        ESTIMATE,
        THREAT,
        OPPORTUNITY,
        MONEY,
        NONE
    }

    /** @param value of either sign; what saves is drawn hollow */
    public record Row(Sign sign, String name, double value, String words) {}

    private Bars() {}

    public static Drawing of(List<Row> rows, String alt) {
        Pen pen = new Pen();
        double widest = rows.stream()
                .mapToDouble(row -> Letters.width(row.words(), Pen.SIZE, false))
                .max()
                .orElse(0);
        double most =
                rows.stream().mapToDouble(row -> Math.abs(row.value())).max().orElse(1);
        double room = Drawing.PAGE - NAMES - widest - 12;
        double y = 2;
        for (Row row : rows) {
            sign(pen, row.sign(), 8, y + 12);
            int lines = pen.words(24, y + 16, row.name(), NAMES - 34, Ink.INK);
            double length = most > 0 ? Math.abs(row.value()) / most * room : 0;
            if (row.value() < 0) {
                pen.stroke(
                        new Path2D.Double(new Rectangle2D.Double(NAMES, y + 7.5, Math.max(length, 1), 9)),
                        ink(row.sign()),
                        1.2);
            } else {
                pen.box(NAMES, y + 7, Math.max(length, 1), 10, ink(row.sign()), 0.62);
            }
            pen.label(NAMES + length + 9, y + 16, row.words(), Mark.Anchor.START, Ink.INK);
            y += ROW + LINE * (lines - 1);
        }
        return pen.drawing(Drawing.PAGE, y + 2, alt);
    }

    private static Ink ink(Sign sign) {
        return switch (sign) {
            case THREAT -> Ink.PLUM;
            case MONEY, NONE -> Ink.INDIGO;
            case ESTIMATE, OPPORTUNITY -> Ink.TEAL;
        };
    }

    private static void sign(Pen pen, Sign sign, double x, double y) {
        switch (sign) {
            case ESTIMATE -> pen.disc(x, y, 5, Ink.TEAL);
            case THREAT -> pen.triangle(x, y, 6, true, Ink.PLUM);
            case OPPORTUNITY -> pen.triangle(x, y, 6, false, Ink.TEAL);
            case MONEY -> pen.square(x, y, 4.5, Ink.TEAL);
            case NONE -> {}
        }
    }
}
