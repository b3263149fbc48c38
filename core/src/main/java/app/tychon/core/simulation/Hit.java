package app.tychon.core.simulation;

/**
 * An impact on one target.
 *
 * @param stream the target's draw, where targets do not share one
 * @param unit   what one unit of its size is worth at the target: minutes, money, 1 for a factor
 */
record Hit(RiskImpact impact, Stream stream, double unit) {

    /** The total size on this target in each lane, in the impact's own unit; {@code own} is filled where it is its own. */
    double[] sizes(Draws draws, int first, int count, Strikes strikes, Scratch scratch) {
        if (impact.isShared()) {
            return strikes.size[impact.index()];
        }
        impact.total(stream, draws, first, count, strikes, strikes.own, scratch);
        return strikes.own;
    }
}
