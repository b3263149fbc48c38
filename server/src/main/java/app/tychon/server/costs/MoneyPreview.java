package app.tychon.server.costs;

import app.tychon.core.model.Plan;
import app.tychon.exchange.costs.MoneyColumn;
import app.tychon.exchange.costs.MoneyReader.Line;
import app.tychon.exchange.costs.MoneySheet;
import app.tychon.exchange.costs.MoneySubject;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.Table;
import app.tychon.server.web.TablePreview;
import app.tychon.server.web.TablePreview.CellChange;
import app.tychon.server.web.TablePreview.GoneRow;
import app.tychon.server.web.TablePreview.ReadRow;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What cost lines, resources or funding out of a table would change, told in the cells that would go out. */
final class MoneyPreview {
    private final MoneySubject subject;

    private MoneyPreview(MoneySubject subject) {
        this.subject = subject;
    }

    static TablePreview of(Plan plan, Table table) {
        MoneyFiles file = MoneyFiles.of(table, plan);
        MoneyPreview preview = new MoneyPreview(file.read().subject());
        Map<String, List<String>> before = preview.cells(plan);
        Map<String, List<String>> after = file.after().map(preview::cells).orElse(Map.of());
        List<String> fresh =
                after.keySet().stream().filter(id -> !before.containsKey(id)).toList();
        Map<String, Integer> columns = new LinkedHashMap<>();
        file.read().columns().forEach((column, at) -> columns.put(column.title(), at));
        List<ReadRow> rows = new ArrayList<>();
        int next = 0;
        for (Line line : file.read().lines()) {
            // New rows stand at the end, in the order of the table.
            String id = line.known() || fresh.isEmpty() ? line.id() : fresh.get(next++);
            rows.add(preview.row(line, id, before.get(id), after.get(id)));
        }
        return new TablePreview(
                TablePreview.columns(table, columns),
                rows,
                file.read().gone().entrySet().stream()
                        .map(one -> new GoneRow(one.getKey(), one.getValue()))
                        .toList(),
                file.problems().stream()
                        .map(p -> TablePreview.bad(p, table, columns))
                        .toList());
    }

    /** What each row says in the table that would go out, by its code. */
    private Map<String, List<String>> cells(Plan plan) {
        Sheet sheet =
                switch (subject) {
                    case COSTS -> MoneySheet.costs(plan);
                    case RESOURCES -> MoneySheet.resources(plan);
                    case FUNDING -> MoneySheet.funding(plan);
                };
        Map<String, List<String>> cells = new LinkedHashMap<>();
        for (Sheet.Line line : sheet.lines()) {
            List<String> texts = line.cells().stream()
                    .map(cell -> cell.map(MoneyPreview::text).orElse(""))
                    .toList();
            cells.put(texts.get(0), texts);
        }
        return cells;
    }

    private static String text(Object value) {
        return value instanceof Double number && number == Math.rint(number)
                ? String.format("%,.0f", number)
                : value.toString();
    }

    private ReadRow row(Line line, String id, List<String> before, List<String> after) {
        if (after == null) {
            return new ReadRow(line.row(), line.id(), line.name(), null, List.of());
        }
        List<CellChange> changes = new ArrayList<>();
        List<MoneyColumn> columns = subject.columns();
        for (int c = 0; before != null && c < columns.size(); c++) {
            if (!before.get(c).equals(after.get(c))) {
                changes.add(new CellChange(columns.get(c).title(), before.get(c), after.get(c)));
            }
        }
        String name = after.get(columns.indexOf(MoneyColumn.NAME));
        String what = before == null ? "new" : changes.isEmpty() ? "same" : "changed";
        return new ReadRow(line.row(), id, name, what, changes);
    }
}
