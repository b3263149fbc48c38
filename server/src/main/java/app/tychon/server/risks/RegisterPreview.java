package app.tychon.server.risks;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.risks.RegisterReader.Line;
import app.tychon.exchange.table.Table;
import app.tychon.server.edits.ObjectEdit;
import app.tychon.server.web.TablePreview;
import app.tychon.server.web.TablePreview.CellChange;
import app.tychon.server.web.TablePreview.GoneRow;
import app.tychon.server.web.TablePreview.ReadRow;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a register out of a table would change. */
final class RegisterPreview {
    private RegisterPreview() {}

    static TablePreview of(Plan plan, Table table) {
        RegisterFiles file = RegisterFiles.of(table, plan);
        Map<String, Risk> before = byId(plan);
        Map<Integer, Risk> after = new HashMap<>();
        file.after().ifPresent(tried -> pair(file, plan, tried, after));
        Map<String, Integer> columns = new LinkedHashMap<>();
        file.columns().forEach((column, at) -> columns.put(column.title(), at));
        return new TablePreview(
                TablePreview.columns(table, columns),
                file.read().lines().stream()
                        .map(line -> row(line, before, after.get(line.row())))
                        .toList(),
                file.read().gone().stream()
                        .map(id -> new GoneRow(id, before.get(id).title()))
                        .toList(),
                file.problems().stream()
                        .map(p -> TablePreview.bad(p, table, columns))
                        .toList());
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

    private static ReadRow row(Line line, Map<String, Risk> before, @Nullable Risk after) {
        String id = line.edit().get("id").asText();
        String title = line.edit().path("title").asText("");
        if (after == null) {
            return new ReadRow(line.row(), id, title, null, List.of());
        }
        if (!line.known()) {
            return new ReadRow(line.row(), after.id(), after.title(), "new", List.of());
        }
        Risk old = before.get(id);
        RiskHistory changes =
                RiskHistory.of(new ObjectEdit(0, Instant.EPOCH, true, "", null, words(old), words(after)));
        return new ReadRow(
                line.row(),
                after.id(),
                after.title(),
                after.equals(old) ? "same" : "changed",
                changes.fields().stream()
                        .map(one -> new CellChange(one.field(), one.before(), one.after()))
                        .toList());
    }

    private static String words(Risk risk) {
        return JsonText.of(RiskJson.write(risk));
    }
}
