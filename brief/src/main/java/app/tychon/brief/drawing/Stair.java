package app.tychon.brief.drawing;

import java.util.List;

/** Steps from one value to another: each is a landing, with a pillar from the one before. */
public final class Stair {
    private static final double NAMES = 230;
    private static final double ROW = 34;
    private static final double LINE = 15;

    /**
     * A step.
     *
     * @param value   where it leads
     * @param words   that value
     * @param change  what it adds, in words; empty for the first
     */
    public record Step(String name, double value, String words, String change) {}

    private Stair() {}

    public static Drawing of(List<Step> steps, String alt) {
        double low = steps.stream().mapToDouble(Step::value).min().orElse(0);
        double high = steps.stream().mapToDouble(Step::value).max().orElse(1);
        double widest = steps.stream()
                .mapToDouble(step -> Letters.width(step.words(), Pen.SIZE, true))
                .max()
                .orElse(0);
        Placed placed = new Placed(NAMES + 20, Drawing.PAGE - widest - 20, low, high);
        Pen pen = new Pen();
        double y = 4;
        double before = Double.NaN;
        double stood = y;
        for (Step step : steps) {
            int lines = pen.words(0, y + 18, step.name(), NAMES - 10, Ink.INK);
            double x = placed.of(step.value());
            double middle = y + 14;
            if (!Double.isNaN(before)) {
                pen.line(before, stood, before, middle, Ink.SOFT, 1);
                Ink ink = x >= before ? Ink.PLUM : Ink.TEAL;
                pen.box(Math.min(before, x), middle - 4, Math.max(Math.abs(x - before), 1), 8, ink, 0.55);
                if (!step.change().isEmpty()) {
                    pen.within(
                            (before + x) / 2,
                            middle + 16,
                            step.change(),
                            NAMES,
                            Drawing.PAGE,
                            Pen.SMALL,
                            false,
                            Ink.SOFT);
                }
            } else {
                pen.disc(x, middle, 4, Ink.MARIGOLD);
            }
            pen.label(
                    Math.max(x, Double.isNaN(before) ? x : before) + 10,
                    middle + 4,
                    step.words(),
                    Mark.Anchor.START,
                    Pen.SIZE,
                    true,
                    Ink.INK);
            before = x;
            stood = middle;
            y += Math.max(ROW, 14 + LINE * lines);
        }
        return pen.drawing(Drawing.PAGE, y + 2, alt);
    }
}
