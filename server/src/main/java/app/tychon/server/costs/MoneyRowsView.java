package app.tychon.server.costs;

import java.util.List;

/**
 * What lines, rows and categories cost in the futures of a simulation.
 *
 * @param iterations how many futures were looked at
 * @param level      percent, the project's own
 * @param scarce     whether fewer were looked at than the simulation has, because there are so many lines
 */
record MoneyRowsView(int iterations, double level, boolean scarce, List<MoneyRow> rows) {

    /**
     * @param key     {@code line:K10}, {@code work:I10/crew}, {@code row:S40} for an activity or a branch with all beneath it,
     *     {@code category:Steel} with all within it, {@code project}
     * @param at      value at the level
     * @param low     value at the first of the heights
     * @param high    value at the last
     * @param heights of its density, 0 to 100; none where nothing varies
     */
    record MoneyRow(String key, double mean, double p50, double at, double low, double high, int[] heights) {}
}
