package app.tychon.brief.drawing;

import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** How likely dates or amounts are, side by side: the shape, and beneath it what was planned, promised and is sure. */
public final class Densities {
    private static final double TALL = 96;
    private static final double HEAD = 22;
    private static final double GAP = 40;
    private static final double ROW = 15;
    private static final int ROWS = 3;
    private static final double STALK = 0.82;

    /**
     * A distribution.
     *
     * @param what      finish or cost
     * @param density   at values evenly from low on
     * @param quantiles for chances evenly from 0 to 1
     * @param marks     what stands at its foot
     */
    public record Curve(
            String what,
            String title,
            double low,
            double step,
            double[] density,
            double[] quantiles,
            List<Foot> marks) {}

    /** A value with its words. */
    public record Foot(Kind kind, double value, String words) {}

    public enum Kind {
        PLAN,
        TARGET,
        PERCENTILE,
        LEVEL
    }

    private Densities() {}

    public static Drawing of(List<Curve> curves, String alt) {
        Pen pen = new Pen();
        double each = (Drawing.PAGE - GAP * (curves.size() - 1)) / curves.size();
        for (int i = 0; i < curves.size(); i++) {
            side(pen, curves.get(i), i * (each + GAP), i * (each + GAP) + each);
        }
        return pen.drawing(Drawing.PAGE, HEAD + TALL + ROWS * ROW + 8, alt);
    }

    private static void side(Pen pen, Curve curve, double left, double right) {
        double[] q = curve.quantiles();
        double low = q[1];
        double high = q[q.length - 2];
        for (Foot foot : curve.marks()) {
            low = Math.min(low, foot.value());
            high = Math.max(high, foot.value());
        }
        double margin = (high - low) * 0.03;
        Placed placed = new Placed(left, right, low - margin, high + margin);
        double base = HEAD + TALL;
        pen.label(left, 12, curve.title(), Mark.Anchor.START, Pen.SMALL, false, Ink.SOFT);
        shape(curve, placed, base).ifPresent(shape -> {
            Path2D closed = new Path2D.Double(shape);
            closed.lineTo(shape.getCurrentPoint().getX(), base);
            closed.lineTo(shape.getBounds2D().getMinX(), base);
            closed.closePath();
            pen.area(closed, Ink.INDIGO, 0.28);
            pen.stroke(shape, Ink.INDIGO, 1.2);
        });
        pen.line(left, base, right, base, Ink.SOFT, 1);
        feet(pen, curve.marks(), placed, base);
        pen.axis(curve.what(), placed, HEAD, base, q);
    }

    /** None where nothing varies. */
    private static Optional<Path2D> shape(Curve curve, Placed placed, double base) {
        double top = 0;
        for (double one : curve.density()) {
            top = Math.max(top, one);
        }
        Path2D shape = null;
        for (int i = 0; i < curve.density().length && top > 0; i++) {
            double value = curve.low() + i * curve.step();
            if (placed.holds(value)) {
                double y = base - curve.density()[i] / top * TALL * 0.95;
                if (shape == null) {
                    shape = new Path2D.Double();
                    shape.moveTo(placed.of(value), y);
                } else {
                    shape.lineTo(placed.of(value), y);
                }
            }
        }
        return Optional.ofNullable(shape);
    }

    private static void feet(Pen pen, List<Foot> marks, Placed placed, double base) {
        List<Foot> inOrder = new ArrayList<>(marks);
        inOrder.sort(Comparator.comparingDouble(Foot::value));
        double[] taken = new double[ROWS];
        Arrays.fill(taken, Double.NEGATIVE_INFINITY);
        for (Foot foot : inOrder) {
            double x = placed.of(foot.value());
            mark(pen, foot, x, base);
            boolean strong = foot.kind() == Kind.LEVEL;
            double width = Letters.width(foot.words(), Pen.SMALL, strong);
            double middle = Math.max(placed.left() + width / 2, Math.min(placed.right() - width / 2, x));
            int row = 0;
            while (row < ROWS - 1 && taken[row] > middle - width / 2 - 6) {
                row++;
            }
            taken[row] = middle + width / 2;
            pen.label(
                    middle,
                    base + ROW * (row + 1),
                    foot.words(),
                    Mark.Anchor.MIDDLE,
                    Pen.SMALL,
                    strong,
                    foot.kind() == Kind.PLAN || foot.kind() == Kind.TARGET ? Ink.MARIGOLD_TEXT : Ink.INK);
        }
    }

    private static void mark(Pen pen, Foot foot, double x, double base) {
        switch (foot.kind()) {
            case PLAN -> {
                pen.line(x, base, x, base - TALL * STALK, Ink.MARIGOLD, 1.6);
                pen.disc(x, base - TALL * STALK, 4, Ink.MARIGOLD);
            }
            case TARGET -> {
                pen.line(x, base, x, base - TALL, Ink.MARIGOLD, 1.6);
                pen.area(closed(x, base - TALL, x + 10, base - TALL + 4, x, base - TALL + 8), Ink.MARIGOLD, 1);
            }
            case PERCENTILE -> pen.line(x, base, x, base - TALL * 0.25, Ink.INK, 1.6);
            case LEVEL -> pen.line(x, base, x, base - TALL * 0.4, Ink.INK, 2.2);
        }
    }

    private static Path2D closed(double... coordinates) {
        Path2D path = Pen.path(coordinates);
        path.closePath();
        return path;
    }
}
