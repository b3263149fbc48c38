package app.tychon.brief.drawing;

import app.tychon.brief.drawing.Drawing.Axis;
import app.tychon.brief.drawing.Drawing.Spot;
import app.tychon.brief.drawing.Mark.Anchor;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/** Draws marks one after the other. */
final class Pen {
    static final double SIZE = 12;
    static final double SMALL = 11;
    /** From one line of words to the next. */
    static final double LEADING = 1.25;

    private final List<Mark> marks = new ArrayList<>();
    private final List<Axis> axes = new ArrayList<>();
    private final List<Spot> spots = new ArrayList<>();

    void area(Path2D shape, Ink ink, double opacity) {
        marks.add(new Mark.Area(shape, ink, opacity));
    }

    void stroke(Path2D shape, Ink ink, double width) {
        marks.add(new Mark.Stroke(shape, ink, width, false));
    }

    void dashed(Path2D shape, Ink ink, double width) {
        marks.add(new Mark.Stroke(shape, ink, width, true));
    }

    void line(double x1, double y1, double x2, double y2, Ink ink, double width) {
        stroke(path(x1, y1, x2, y2), ink, width);
    }

    void box(double x, double y, double width, double height, Ink ink, double opacity) {
        area(new Path2D.Double(new Rectangle2D.Double(x, y, width, height)), ink, opacity);
    }

    void disc(double x, double y, double radius, Ink ink) {
        area(disc(x, y, radius), ink, 1);
    }

    void circle(double x, double y, double radius, Ink ink, double width) {
        stroke(disc(x, y, radius), ink, width);
    }

    private static Path2D disc(double x, double y, double radius) {
        return new Path2D.Double(new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
    }

    /** A triangle on its point, or on its foot. */
    void triangle(double x, double y, double radius, boolean onPoint, Ink ink) {
        double up = onPoint ? 1 : -1;
        Path2D shape = path(x - radius, y - up * radius * 0.8, x + radius, y - up * radius * 0.8, x, y + up * radius);
        shape.closePath();
        area(shape, ink, 1);
    }

    void square(double x, double y, double radius, Ink ink) {
        box(x - radius, y - radius, 2 * radius, 2 * radius, ink, 1);
    }

    /** A line from point to point: x and y in turn. */
    static Path2D path(double... coordinates) {
        Path2D path = new Path2D.Double();
        path.moveTo(coordinates[0], coordinates[1]);
        for (int i = 2; i < coordinates.length; i += 2) {
            path.lineTo(coordinates[i], coordinates[i + 1]);
        }
        return path;
    }

    void label(double x, double y, String text, Anchor anchor, Ink ink) {
        label(x, y, text, anchor, SIZE, false, ink);
    }

    void label(double x, double y, String text, Anchor anchor, double size, boolean strong, Ink ink) {
        marks.add(new Mark.Label(x, y, text, anchor, size, strong, ink));
    }

    /** Words in as many lines as they need, of which the first stands at y; tells how many they are. */
    int words(double x, double y, String text, double width, Ink ink) {
        List<String> lines = Letters.wrap(text, width, SIZE, false);
        for (int i = 0; i < lines.size(); i++) {
            label(x, y + i * SIZE * LEADING, lines.get(i), Anchor.START, ink);
        }
        return lines.size();
    }

    /** A label under a mark: moved so far that it stays within the drawing. */
    void within(double x, double y, String text, double left, double right, double size, boolean strong, Ink ink) {
        double half = Letters.width(text, size, strong) / 2;
        label(Math.max(left + half, Math.min(right - half, x)), y, text, Anchor.MIDDLE, size, strong, ink);
    }

    /** A scale along which nothing is read off, but things can be placed. */
    void axis(String what, Placed placed, double top, double bottom) {
        axis(what, placed, top, bottom, new double[0]);
    }

    /** One along which a distribution can be read off. */
    void axis(String what, Placed placed, double top, double bottom, double[] quantiles) {
        axes.add(new Axis(what, placed.left(), placed.right(), top, bottom, placed.low(), placed.high(), quantiles));
    }

    void spot(String id, double y) {
        spots.add(new Spot(id, y));
    }

    Drawing drawing(double width, double height, String alt) {
        return new Drawing(width, height, alt, marks, axes, spots);
    }
}
