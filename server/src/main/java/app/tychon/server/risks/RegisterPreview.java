package app.tychon.server.risks;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.risks.RegisterReader.Line;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Table;
import app.tychon.server.edits.ObjectEdit;
import app.tychon.server.risks.RiskHistory.FieldChange;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What a register out of a table would change.
 *
 * @param columns what is read, with the header of its column
 * @param rows    in the table's order
 * @param gone    risks that the register has and the table has not
 * @param problems cells that cannot be taken over; nothing is while there is one
 */
record RegisterPreview(List<ReadColumn> columns, List<ReadRisk> rows, List<GoneRisk> gone, List<BadCell> problems) {

    /** @param meaning what it is taken for */
    record ReadColumn(String header, String meaning) {}

    /**
     * A risk that the table names.
     *
     * @param row  as the file counts them
     * @param what new, changed or same; absent while something is wrong with the table
     */
    record ReadRisk(int row, String id, String title, @Nullable String what, List<FieldChange> fields) {}

    record GoneRisk(String id, String title) {}

    /**
     * A cell that cannot be taken over.
     *
     * @param column of the table, from 0, so that it can be typed anew; -1 where the table has no such column
     * @param text   as it stands there
     */
    record BadCell(int row, int column, String header, String text, String message) {}

    static RegisterPreview of(Plan plan, Table table) {
        RegisterFiles file = RegisterFiles.of(table, plan);
        Map<String, Risk> before = byId(plan);
        Map<Integer, Risk> after = new HashMap<>();
        file.after().ifPresent(tried -> pair(file, plan, tried, after));
        return new RegisterPreview(
                file.columns().entrySet().stream()
                        .map(e -> new ReadColumn(
                                table.header().get(e.getValue()), e.getKey().title()))
                        .toList(),
                file.read().lines().stream()
                        .map(line -> row(line, before, after.get(line.row())))
                        .toList(),
                file.read().gone().stream()
                        .map(id -> new GoneRisk(id, before.get(id).title()))
                        .toList(),
                file.problems().stream().map(p -> bad(p, file, table)).toList());
    }

    private static Map<String, Risk> byId(Plan plan) {
        return plan.risks().stream().collect(Collectors.toMap(Risk::id, Function.identity()));
    }

    /** New risks stand at the end, in the order of the table. */
    private static void pair(RegisterFiles file, Plan plan, Plan tried, Map<Integer, Risk> after) {
        Map<String, Risk> now = byId(tried);
        List<Risk> fresh = new ArrayList<>(
                tried.risks().subList(plan.risks().size(), tried.risks().size()));
        for (Line line : file.read().lines()) {
            after.put(line.row(), line.known() ? now.get(line.edit().get("id").asText()) : fresh.remove(0));
        }
    }

    private static ReadRisk row(Line line, Map<String, Risk> before, @Nullable Risk after) {
        String id = line.edit().get("id").asText();
        String title = line.edit().path("title").asText("");
        if (after == null) {
            return new ReadRisk(line.row(), id, title, null, List.of());
        }
        if (!line.known()) {
            return new ReadRisk(line.row(), after.id(), after.title(), "new", List.of());
        }
        Risk old = before.get(id);
        RiskHistory changes = RiskHistory.of(new ObjectEdit(0, Instant.EPOCH, true, words(old), words(after)));
        return new ReadRisk(
                line.row(), after.id(), after.title(), after.equals(old) ? "same" : "changed", changes.fields());
    }

    private static String words(Risk risk) {
        return JsonText.of(RiskJson.write(risk));
    }

    private static BadCell bad(CellProblem problem, RegisterFiles file, Table table) {
        int column = file.columns().entrySet().stream()
                .filter(e -> e.getKey().title().equals(problem.column()))
                .mapToInt(Map.Entry::getValue)
                .findFirst()
                .orElse(-1);
        String text = table.rows().stream()
                .filter(row -> row.number() == problem.row())
                .map(row -> row.cell(column))
                .findFirst()
                .orElse("");
        return new BadCell(problem.row(), column, problem.column(), text, problem.message());
    }
}
