package app.tychon.brief.drawing;

import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.Locale;

/** Shapes in the words of SVG, to a hundredth. */
public final class SvgPath {
    private static final int HUNDREDTHS = 100;

    private SvgPath() {}

    /** What stands in the attribute {@code d} of a path. */
    public static String of(Path2D shape) {
        StringBuilder text = new StringBuilder();
        double[] at = new double[6];
        for (PathIterator steps = shape.getPathIterator(null); !steps.isDone(); steps.next()) {
            switch (steps.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> step(text, 'M', at, 2);
                case PathIterator.SEG_LINETO -> step(text, 'L', at, 2);
                case PathIterator.SEG_QUADTO -> step(text, 'Q', at, 4);
                case PathIterator.SEG_CUBICTO -> step(text, 'C', at, 6);
                default -> text.append('Z');
            }
        }
        return text.toString();
    }

    private static void step(StringBuilder text, char letter, double[] at, int count) {
        text.append(letter);
        for (int i = 0; i < count; i++) {
            text.append(i == 0 ? "" : " ").append(number(at[i]));
        }
    }

    static String number(double value) {
        double rounded = Math.round(value * HUNDREDTHS) / (double) HUNDREDTHS;
        return rounded == Math.rint(rounded)
                ? Long.toString((long) rounded)
                : String.format(Locale.ROOT, "%s", rounded);
    }
}
