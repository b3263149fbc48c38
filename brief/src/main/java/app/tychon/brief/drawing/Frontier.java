package app.tychon.brief.drawing;

import java.awt.geom.Path2D;
import java.util.List;

/** What each amount spent on responses can buy at best: a stair over the sets that were tried. */
public final class Frontier {
    private static final double LEFT = 96;
    private static final double TOP = 18;
    private static final double BASE = 190;

    /** A set of responses. */
    public record Point(double cost, double value) {}

    private Frontier() {}

    /** @param best from the cheapest up, each better than all cheaper ones */
    public static Drawing of(
            List<Point> best, List<Point> tried, List<Tick> costs, List<Tick> values, String costWords, String alt) {
        double most = tried.stream().mapToDouble(Point::cost).max().orElse(1);
        double low = tried.stream().mapToDouble(Point::value).min().orElse(0);
        double high = tried.stream().mapToDouble(Point::value).max().orElse(1);
        Placed x = new Placed(LEFT, Drawing.PAGE - 12, 0, most > 0 ? most * 1.03 : 1);
        Placed y = new Placed(BASE, TOP, low - (high - low) * 0.06, high + (high - low) * 0.04);
        Pen pen = new Pen();
        values.stream().filter(tick -> y.holds(tick.value())).forEach(tick -> {
            pen.line(LEFT, y.of(tick.value()), x.right(), y.of(tick.value()), Ink.LINE, 0.8);
            pen.label(LEFT - 8, y.of(tick.value()) + 4, tick.label(), Mark.Anchor.END, Pen.SMALL, false, Ink.SOFT);
        });
        costs.stream()
                .filter(tick -> x.holds(tick.value()))
                .forEach(tick -> pen.within(
                        x.of(tick.value()), BASE + 17, tick.label(), 0, Drawing.PAGE, Pen.SMALL, false, Ink.SOFT));
        tried.forEach(one -> pen.circle(x.of(one.cost()), y.of(one.value()), 2.2, Ink.SOFT, 0.5));
        if (!best.isEmpty()) {
            Path2D stair = new Path2D.Double();
            stair.moveTo(x.of(best.get(0).cost()), y.of(best.get(0).value()));
            for (Point one : best.subList(1, best.size())) {
                stair.lineTo(x.of(one.cost()), stair.getCurrentPoint().getY());
                stair.lineTo(x.of(one.cost()), y.of(one.value()));
            }
            stair.lineTo(x.right(), stair.getCurrentPoint().getY());
            pen.stroke(stair, Ink.TEAL, 2);
            best.forEach(one -> pen.disc(x.of(one.cost()), y.of(one.value()), 4, Ink.TEAL));
        }
        pen.line(LEFT, BASE, x.right(), BASE, Ink.SOFT, 1);
        pen.label(x.right(), BASE + 34, costWords, Mark.Anchor.END, Pen.SMALL, false, Ink.SOFT);
        return pen.drawing(Drawing.PAGE, BASE + 40, alt);
    }
}
