package app.tychon.server.ranges;

import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.exchange.EstimateText;
import app.tychon.exchange.ranges.RangeReader;
import app.tychon.exchange.ranges.RangeReader.Spread;
import app.tychon.exchange.table.CellProblem;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What a table of ranges would change of a plan.
 *
 * @param rows those that differ
 * @param problems cells that cannot be understood; nothing is taken over while there is one
 */
record RangePreview(List<RangeRow> rows, List<CellProblem> problems) {

    /** A row as it is and as it would be, in words. */
    record RangeRow(String id, String name, String before, String after) {}

    static RangePreview of(Plan plan, RangeReader.Read read) {
        return new RangePreview(
                IntStream.range(0, read.after().size())
                        .mapToObj(i ->
                                row(plan, read.before().get(i), read.after().get(i)))
                        .toList(),
                read.problems());
    }

    private static RangeRow row(Plan plan, Spread before, Spread after) {
        return new RangeRow(after.id(), after.name(), words(plan, before), words(plan, after));
    }

    private static String words(Plan plan, Spread spread) {
        return spread.estimate()
                .map(EstimateText::of)
                .or(() -> spread.grade().map(id -> "grade " + name(plan, id)))
                .orElse("inherited");
    }

    private static String name(Plan plan, String grade) {
        return plan.grades().stream()
                .filter(g -> g.id().equals(grade))
                .map(Grade::name)
                .findFirst()
                .orElse(grade);
    }
}
