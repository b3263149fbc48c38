package app.tychon.server.ranges;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.ranges.RangeReader;
import app.tychon.exchange.ranges.RangeReader.Spread;
import app.tychon.exchange.table.Table;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.RowEdit;
import app.tychon.server.rows.RowEdits;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import java.util.List;

/** The ranges a table has, given to the rows it names. */
record RangeTableEdit(Table table) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        RangeReader.Read read = RangeReader.read(table, plan);
        if (!read.problems().isEmpty()) {
            throw new InvalidPlanException(read.problems().stream()
                    .map(p -> new Problem("/" + p.row() + "/" + p.column(), p.toString()))
                    .toList());
        }
        List<RowEdit> rows = read.after().stream().map(RangeTableEdit::edit).toList();
        Plan after = rows.isEmpty() ? plan : new RowEdits(rows).apply(plan).plan();
        return new Outcome(after, "Ranges of " + rows.size() + " rows from a file");
    }

    private static RowEdit edit(Spread spread) {
        JsonNode grade =
                spread.grade().<JsonNode>map(JsonNodeFactory.instance::textNode).orElse(NullNode.instance);
        JsonNode estimate = spread.estimate().<JsonNode>map(EstimateJson::write).orElse(NullNode.instance);
        return RowEdit.spread(spread.id(), grade, spread.kind() == RangeReader.Kind.BRANCH ? null : estimate);
    }
}
