package app.tychon.server.web;

import app.tychon.exchange.table.Sheet;
import app.tychon.server.rights.WorksHere;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;
import java.io.IOException;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Makes a file of a table that is on screen, so that what is taken out is what is seen. Nothing is kept of it. */
@RestController
@WorksHere
@RequestMapping("/api/tables")
class TableController {
    /**
     * A table.
     *
     * @param title of the file and its sheet
     * @param rows  each with a text, a number or nothing for every column
     */
    record TableWords(String title, List<String> columns, List<List<JsonNode>> rows) {}

    @PostMapping("/csv")
    ResponseEntity<byte[]> tableAsCsv(@RequestBody TableWords table) throws IOException {
        return Download.csv(sheet(table), table.title());
    }

    @PostMapping("/xlsx")
    ResponseEntity<byte[]> tableAsXlsx(@RequestBody TableWords table) throws IOException {
        return Download.xlsx(sheet(table), table.title());
    }

    private static Sheet sheet(TableWords table) {
        if (table.columns().isEmpty()) {
            throw new IllegalArgumentException("columns: a table has at least one column");
        }
        for (int i = 0; i < table.rows().size(); i++) {
            if (table.rows().get(i).size() != table.columns().size()) {
                throw new IllegalArgumentException(
                        "rows: row " + (i + 1) + " has " + table.rows().get(i).size() + " cells for "
                                + table.columns().size() + " columns");
            }
        }
        return Sheet.plain(
                table.title(),
                table.columns(),
                table.rows().stream()
                        .map(row -> row.stream().map(TableController::cell).toList())
                        .toList());
    }

    private static @Nullable Object cell(JsonNode value) {
        if (value.isNull()) {
            return null;
        }
        return value.isNumber() ? (Object) value.doubleValue() : value.asText();
    }
}
