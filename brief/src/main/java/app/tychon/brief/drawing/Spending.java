package app.tychon.brief.drawing;

import java.awt.geom.Path2D;
import java.util.List;

/** Money over time, added up: as planned, as it may turn out, and what there is to spend. */
public final class Spending {
    private static final double LEFT = 58;
    private static final double TOP = 18;
    private static final double BASE = 204;
    private static final double HEIGHT = 244;

    /**
     * What has been spent by the end of each period.
     *
     * @param at       ends of periods, instants
     * @param low      in one of ten futures less
     * @param high     in one of ten more
     * @param funded   what there is to spend from when on: instants and amounts added up; none where nothing is said
     */
    public record Course(
            double[] at, double[] planned, double[] low, double[] half, double[] high, List<double[]> funded) {}

    private Spending() {}

    public static Drawing of(Course course, List<Tick> dates, List<Tick> amounts, Words words, String alt) {
        double most = 0;
        for (double one : course.high()) {
            most = Math.max(most, one);
        }
        for (double one : course.planned()) {
            most = Math.max(most, one);
        }
        for (double[] one : course.funded()) {
            most = Math.max(most, one[1]);
        }
        Placed x = new Placed(LEFT, Drawing.PAGE - 8, course.at()[0], course.at()[course.at().length - 1]);
        Placed y = new Placed(BASE, TOP, 0, most * 1.04);
        Pen pen = new Pen();
        amounts.stream().filter(tick -> y.holds(tick.value())).forEach(tick -> {
            pen.line(LEFT, y.of(tick.value()), x.right(), y.of(tick.value()), Ink.LINE, 0.8);
            pen.label(LEFT - 8, y.of(tick.value()) + 4, tick.label(), Mark.Anchor.END, Pen.SMALL, false, Ink.SOFT);
        });
        dates.stream().filter(tick -> x.holds(tick.value())).forEach(tick -> {
            pen.line(x.of(tick.value()), BASE, x.of(tick.value()), BASE + 4, Ink.SOFT, 1);
            pen.within(x.of(tick.value()), BASE + 17, tick.label(), 0, Drawing.PAGE, Pen.SMALL, false, Ink.SOFT);
        });
        Path2D band = line(x, y, course.at(), course.low());
        for (int i = course.at().length - 1; i >= 0; i--) {
            band.lineTo(x.of(course.at()[i]), y.of(course.high()[i]));
        }
        band.closePath();
        pen.area(band, Ink.INDIGO, 0.2);
        pen.stroke(line(x, y, course.at(), course.half()), Ink.INDIGO, 2);
        pen.stroke(line(x, y, course.at(), course.planned()), Ink.MARIGOLD, 1.6);
        if (!course.funded().isEmpty()) {
            pen.dashed(funded(x, y, course.funded()), Ink.INK, 1.6);
        }
        pen.line(LEFT, BASE, x.right(), BASE, Ink.SOFT, 1);
        legend(pen, words, !course.funded().isEmpty());
        return pen.drawing(Drawing.PAGE, HEIGHT, alt);
    }

    /** What the lines are called. */
    public record Words(String planned, String half, String band, String funded) {}

    private static void legend(Pen pen, Words words, boolean funded) {
        double y = HEIGHT - 8;
        double x = LEFT;
        pen.line(x, y - 4, x + 18, y - 4, Ink.MARIGOLD, 1.6);
        x = next(pen, x, y, words.planned());
        pen.line(x, y - 4, x + 18, y - 4, Ink.INDIGO, 2);
        x = next(pen, x, y, words.half());
        pen.box(x, y - 9, 18, 10, Ink.INDIGO, 0.2);
        x = next(pen, x, y, words.band());
        if (funded) {
            pen.dashed(Pen.path(x, y - 4, x + 18, y - 4), Ink.INK, 1.6);
            next(pen, x, y, words.funded());
        }
    }

    private static double next(Pen pen, double x, double y, String words) {
        pen.label(x + 24, y, words, Mark.Anchor.START, Pen.SMALL, false, Ink.SOFT);
        return x + 24 + Letters.width(words, Pen.SMALL, false) + 22;
    }

    private static Path2D line(Placed x, Placed y, double[] at, double[] values) {
        Path2D path = new Path2D.Double();
        path.moveTo(x.of(at[0]), y.of(values[0]));
        for (int i = 1; i < at.length; i++) {
            path.lineTo(x.of(at[i]), y.of(values[i]));
        }
        return path;
    }

    private static Path2D funded(Placed x, Placed y, List<double[]> steps) {
        Path2D path = new Path2D.Double();
        double level = 0;
        path.moveTo(x.left(), y.of(0));
        for (double[] step : steps) {
            double at = Math.max(x.left(), Math.min(x.right(), x.of(step[0])));
            path.lineTo(at, y.of(level));
            level = step[1];
            path.lineTo(at, y.of(level));
        }
        path.lineTo(x.right(), y.of(level));
        return path;
    }
}
