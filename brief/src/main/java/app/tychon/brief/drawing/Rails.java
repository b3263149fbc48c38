package app.tychon.brief.drawing;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The plan as it may turn out, row by row: a thin rail as planned, mist as simulated (the denser, the likelier that work is
 * under way), notches where half of all futures have ended and where as many have as one wants to be sure of.
 */
public final class Rails {
    private static final double NAMES = 200;
    private static final double HEAD = 22;
    private static final double ROW = 24;
    private static final double LINE = 15;
    private static final int SLICES = 110;
    private static final int LAYERS = 20;
    /** So that all layers together let a little less than half of the paper through. */
    private static final double A_LAYER = 0.045;

    /**
     * A row.
     *
     * @param level   how deep it lies, from 0
     * @param start   percentiles 1 to 99 of its start, instants
     * @param finish  likewise
     * @param half    when half of all futures have ended
     * @param sure    when as many have as one wants to be sure of
     */
    public record Row(
            String id,
            String name,
            int level,
            double planStart,
            double planFinish,
            double[] start,
            double[] finish,
            double half,
            double sure) {}

    private Rails() {}

    /** @param target what was promised of the whole, where something was */
    public static Drawing of(List<Row> rows, List<Tick> ticks, Optional<Double> target, String alt) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Row row : rows) {
            low = Math.min(low, Math.min(row.planStart(), row.start()[0]));
            high = Math.max(high, Math.max(row.planFinish(), row.finish()[row.finish().length - 1]));
        }
        double margin = (high - low) * 0.02;
        Placed placed = new Placed(NAMES + 10, Drawing.PAGE, low - margin, high + margin);
        Pen pen = new Pen();
        double height = HEAD + rows.stream().mapToDouble(Rails::tall).sum() + 4;
        ticks.stream().filter(tick -> placed.holds(tick.value())).forEach(tick -> {
            pen.line(placed.of(tick.value()), HEAD - 4, placed.of(tick.value()), height, Ink.LINE, 0.8);
            pen.within(placed.of(tick.value()), 12, tick.label(), NAMES, Drawing.PAGE, Pen.SMALL, false, Ink.SOFT);
        });
        target.filter(placed::holds)
                .ifPresent(
                        at -> pen.dashed(Pen.path(placed.of(at), HEAD - 4, placed.of(at), height), Ink.MARIGOLD, 1.4));
        double y = HEAD;
        for (Row row : rows) {
            row(pen, row, placed, y);
            y += tall(row);
        }
        pen.axis("rows", placed, HEAD, height);
        return pen.drawing(Drawing.PAGE, height, alt);
    }

    private static double tall(Row row) {
        return ROW + LINE * (lines(row).size() - 1);
    }

    private static List<String> lines(Row row) {
        return Letters.wrap(row.name(), NAMES - 14 * row.level(), Pen.SIZE, row.level() == 0);
    }

    private static void row(Pen pen, Row row, Placed placed, double y) {
        List<String> lines = lines(row);
        for (int i = 0; i < lines.size(); i++) {
            pen.label(
                    14.0 * row.level(),
                    y + 16 + LINE * i,
                    lines.get(i),
                    Mark.Anchor.START,
                    Pen.SIZE,
                    row.level() == 0,
                    Ink.INK);
        }
        double middle = y + ROW / 2;
        pen.spot(row.id(), middle);
        mist(pen, row, placed, middle);
        pen.line(placed.of(row.planStart()), middle, placed.of(row.planFinish()), middle, Ink.MARIGOLD, 2);
        notch(pen, placed.of(row.half()), middle, 5, 1.4);
        notch(pen, placed.of(row.sure()), middle, 8, 2.2);
    }

    private static void notch(Pen pen, double x, double middle, double half, double width) {
        pen.line(x, middle - half, x, middle + half, Ink.INK, width);
    }

    private static void mist(Pen pen, Row row, Placed placed, double middle) {
        double from = row.start()[0];
        double to = row.finish()[row.finish().length - 1];
        double each = (to - from) / SLICES;
        double[] underWay = new double[SLICES + 1];
        for (int i = 0; i < SLICES && each > 0; i++) {
            double at = from + (i + 0.5) * each;
            underWay[i] = share(row.start(), at) - share(row.finish(), at);
        }
        // Laid over each other rather than side by side, so that no seams show.
        for (int layer = 0; layer < LAYERS; layer++) {
            double least = (layer + 0.5) / LAYERS;
            int begun = -1;
            for (int i = 0; i <= SLICES; i++) {
                if (underWay[i] >= least && begun < 0) {
                    begun = i;
                } else if (underWay[i] < least && begun >= 0) {
                    double x = placed.of(from + begun * each);
                    pen.box(x, middle - 7, placed.of(from + i * each) - x, 14, Ink.INDIGO, A_LAYER);
                    begun = -1;
                }
            }
        }
    }

    /** Share of futures in which it has been by then, of percentiles 1 to 99. */
    private static double share(double[] percentiles, double at) {
        if (at < percentiles[0]) {
            return 0;
        }
        int last = percentiles.length - 1;
        if (at >= percentiles[last]) {
            return 1;
        }
        int i = Arrays.binarySearch(percentiles, at);
        int below = i >= 0 ? i : -i - 2;
        while (below < last && percentiles[below + 1] <= at) {
            below++;
        }
        double width = percentiles[below + 1] - percentiles[below];
        double part = width > 0 ? (at - percentiles[below]) / width : 0;
        return (below + 1 + part) / (last + 2);
    }
}
