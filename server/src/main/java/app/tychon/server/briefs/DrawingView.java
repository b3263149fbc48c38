package app.tychon.server.briefs;

import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Drawing.Axis;
import app.tychon.brief.drawing.Mark;
import app.tychon.brief.drawing.Mark.Area;
import app.tychon.brief.drawing.Mark.Label;
import app.tychon.brief.drawing.Mark.Stroke;
import app.tychon.brief.drawing.SvgPath;
import jakarta.annotation.Nullable;
import java.awt.geom.Path2D;
import java.util.List;
import java.util.Locale;

/**
 * A drawing as marks, in the words of SVG.
 *
 * @param alt   what it shows, for those who do not see it
 * @param spots where rows of the plan are drawn
 */
record DrawingView(
        double width, double height, String alt, List<MarkView> marks, List<AxisView> axes, List<SpotView> spots) {

    /**
     * A mark: a path that is filled, a path that is a line, or a label.
     *
     * @param d       of a path
     * @param width   of a line
     * @param opacity of what is filled
     * @param anchor  of a label: start, middle or end
     */
    record MarkView(
            @Nullable String d,
            @Nullable Double width,
            @Nullable Boolean dashed,
            @Nullable Double opacity,
            @Nullable Double x,
            @Nullable Double y,
            @Nullable String text,
            @Nullable String anchor,
            @Nullable Double size,
            @Nullable Boolean strong,
            String colour) {
        static MarkView of(Mark mark) {
            if (mark instanceof Area area) {
                return path(area.shape(), null, null, area.opacity(), area.ink().hex());
            }
            if (mark instanceof Stroke line) {
                return path(
                        line.shape(),
                        line.width(),
                        line.dashed(),
                        null,
                        line.ink().hex());
            }
            Label label = (Label) mark;
            return new MarkView(
                    null,
                    null,
                    null,
                    null,
                    label.x(),
                    label.y(),
                    label.text(),
                    label.anchor().name().toLowerCase(Locale.ROOT),
                    label.size(),
                    label.strong(),
                    label.ink().hex());
        }

        private static MarkView path(
                Path2D shape,
                @Nullable Double width,
                @Nullable Boolean dashed,
                @Nullable Double opacity,
                String colour) {
            return new MarkView(SvgPath.of(shape), width, dashed, opacity, null, null, null, null, null, null, colour);
        }
    }

    /**
     * A scale along which a value can be read off.
     *
     * @param what      finish, cost or rows
     * @param low       an instant in minutes since 1970 without a zone, or money
     * @param quantiles for chances evenly from 0 to 1; none where nothing is read off
     */
    record AxisView(
            String what,
            double left,
            double right,
            double top,
            double bottom,
            double low,
            double high,
            double[] quantiles) {
        static AxisView of(Axis axis) {
            return new AxisView(
                    axis.what(),
                    axis.left(),
                    axis.right(),
                    axis.top(),
                    axis.bottom(),
                    axis.low(),
                    axis.high(),
                    axis.quantiles());
        }
    }

    /** @param y of the middle of its row */
    record SpotView(String id, double y) {}

    static DrawingView of(Drawing drawing) {
        return new DrawingView(
                drawing.width(),
                drawing.height(),
                drawing.alt(),
                drawing.marks().stream().map(MarkView::of).toList(),
                drawing.axes().stream().map(AxisView::of).toList(),
                drawing.spots().stream()
                        .map(spot -> new SpotView(spot.id(), spot.y()))
                        .toList());
    }
}
