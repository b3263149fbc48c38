package app.tychon.brief.drawing;

import java.util.List;
import java.util.Optional;

/** The plan and its scenarios beneath each other: from the lowest to the highest tenth, and where one can be sure. */
public final class Spans {
    private static final double NAMES = 170;
    private static final double HEAD = 34;
    private static final double ROW = 30;
    private static final double LINE = 15;
    private static final double GAP = 26;

    /**
     * One quantity of one scenario.
     *
     * @param low  exceeded in nine of ten futures
     * @param high exceeded in one of ten
     * @param sure at the level of confidence
     */
    public record Span(double low, double half, double high, double sure, String words) {}

    /** @param spans a span for each column */
    public record Row(String name, boolean isPlan, List<Span> spans) {}

    /** @param promised target or budget */
    public record Column(String what, String title, Optional<Double> promised) {}

    private Spans() {}

    public static Drawing of(List<Column> columns, List<Row> rows, String alt) {
        Pen pen = new Pen();
        double each = (Drawing.PAGE - NAMES - GAP * columns.size()) / columns.size();
        double height = HEAD + rows.stream().mapToDouble(Spans::tall).sum() + 4;
        for (int c = 0; c < columns.size(); c++) {
            double left = NAMES + GAP + c * (each + GAP);
            column(pen, columns.get(c), rows, c, left, left + each, height);
        }
        double y = HEAD;
        for (Row row : rows) {
            pen.words(0, y + 16, row.name(), NAMES, Ink.INK);
            y += tall(row);
        }
        return pen.drawing(Drawing.PAGE, height, alt);
    }

    private static double tall(Row row) {
        return ROW + LINE * (Letters.wrap(row.name(), NAMES, Pen.SIZE, false).size() - 1);
    }

    private static void column(
            Pen pen, Column column, List<Row> rows, int index, double left, double right, double height) {
        double low = column.promised().orElse(Double.POSITIVE_INFINITY);
        double high = column.promised().orElse(Double.NEGATIVE_INFINITY);
        for (Row row : rows) {
            low = Math.min(low, row.spans().get(index).low());
            high = Math.max(high, row.spans().get(index).high());
        }
        double widest = rows.stream()
                .mapToDouble(row -> Letters.width(row.spans().get(index).words(), Pen.SMALL, true))
                .max()
                .orElse(0);
        Placed placed = new Placed(left, right - widest - 8, low, high);
        pen.label(left, 12, column.title(), Mark.Anchor.START, Pen.SMALL, false, Ink.SOFT);
        column.promised().ifPresent(at -> {
            pen.dashed(Pen.path(placed.of(at), HEAD - 14, placed.of(at), height), Ink.MARIGOLD, 1.4);
        });
        double y = HEAD;
        for (Row row : rows) {
            span(pen, row.spans().get(index), placed, y + 12, right, row.isPlan());
            y += tall(row);
        }
        pen.axis(column.what(), placed, HEAD, height);
    }

    private static void span(Pen pen, Span span, Placed placed, double y, double right, boolean isPlan) {
        Ink ink = isPlan ? Ink.INDIGO : Ink.TEAL;
        pen.line(placed.of(span.low()), y, placed.of(span.high()), y, ink, 3);
        pen.line(placed.of(span.half()), y - 5, placed.of(span.half()), y + 5, Ink.INK, 1.4);
        pen.line(placed.of(span.sure()), y - 8, placed.of(span.sure()), y + 8, Ink.INK, 2.2);
        pen.label(right, y + 4, span.words(), Mark.Anchor.END, Pen.SMALL, true, Ink.INK);
    }
}
