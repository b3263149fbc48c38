package app.tychon.brief.drawing;

import java.util.List;

/**
 * A drawing of a brief: the same marks on screen, in print and in a picture.
 *
 * @param width  of what is drawn on, 96 to the inch
 * @param alt    what it shows, for those who do not see it
 * @param axes   scales along which a value can be read off
 * @param spots  where single things of the plan are drawn
 */
public record Drawing(double width, double height, String alt, List<Mark> marks, List<Axis> axes, List<Spot> spots) {
    /** As wide as the text of a page. */
    public static final double PAGE = 640;

    /**
     * A scale from left to right with the distribution that is drawn over it.
     *
     * @param what      finish or cost
     * @param left      where its lowest value stands
     * @param top       of the room over it
     * @param bottom    where it runs
     * @param low       its lowest value: an instant in minutes, or money
     * @param quantiles values for chances evenly from 0 to 1; none where nothing is read off
     */
    public record Axis(
            String what,
            double left,
            double right,
            double top,
            double bottom,
            double low,
            double high,
            double[] quantiles) {}

    /** @param y of the middle of its row */
    public record Spot(String id, double y) {}

    public Drawing {
        marks = List.copyOf(marks);
        axes = List.copyOf(axes);
        spots = List.copyOf(spots);
    }
}
