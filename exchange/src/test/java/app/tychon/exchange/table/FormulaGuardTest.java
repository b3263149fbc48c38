package app.tychon.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.exchange.risks.RegisterColumns;
import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FormulaGuardTest {
    private static Sheet sheet(String cell) {
        return new Sheet(
                "T",
                List.of(new Column("Code", 9), new Column("Name", 9)),
                1,
                1,
                List.of(new Line(false, 1, List.of(Optional.of("A1"), Optional.of(cell)))));
    }

    private static String readAgain(byte[] file) throws Exception {
        return Tables.read(new ByteArrayInputStream(file), RegisterColumns::says)
                .rows()
                .get(0)
                .cell(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "=1+1",
                "+49 30",
                "-3 %",
                "@all",
                "'=1+1",
                "''=x",
                "'t is late",
                "\uFF1D1+1",
                "-3.5",
                "a;b,\"c\"\nd",
                "'"
            })
    void whatLooksLikeAFormulaIsKeptAsText(String typed) throws Exception {
        ByteArrayOutputStream csv = new ByteArrayOutputStream();
        SheetFiles.csv(sheet(typed), csv);
        assertThat(csv.toString(StandardCharsets.UTF_8)).doesNotContainPattern("[,\"][=+@\uFF1D]");
        assertThat(readAgain(csv.toByteArray())).isEqualTo(typed);
        ByteArrayOutputStream xlsx = new ByteArrayOutputStream();
        SheetFiles.xlsx(sheet(typed), xlsx);
        assertThat(readAgain(xlsx.toByteArray())).isEqualTo(typed);
    }

    @Test
    void aTextThatNoCellHoldsIsRefusedBeforeAnythingIsWritten() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThatThrownBy(() -> SheetFiles.xlsx(sheet("x".repeat(32_768)), out))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Row 2, Name")
                .hasMessageContaining("32,767");
        assertThat(out.size()).isZero();
    }
}
