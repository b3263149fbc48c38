package app.tychon.brief.workbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.brief.Examples;
import app.tychon.brief.ground.Ground;
import app.tychon.core.PlanBuilder;
import app.tychon.core.calendar.Instants;
import app.tychon.core.statistics.Sample;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;

class RunWorkbookTest {
    private static XSSFWorkbook read(Ground ground) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        RunWorkbook.write(ground, out);
        return new XSSFWorkbook(new ByteArrayInputStream(out.toByteArray()));
    }

    @Test
    void theWorkbookHoldsEverythingOfTheRun() throws IOException {
        Ground ground = Examples.kestrel();
        try (XSSFWorkbook workbook = read(ground)) {
            List<String> names = IntStream.range(0, workbook.getNumberOfSheets())
                    .mapToObj(workbook::getSheetName)
                    .toList();
            assertThat(names).startsWith("Cover").hasSize(Part.values().length + 1);
            assertThat(names)
                    .containsAll(Arrays.stream(Part.values()).map(Part::title).toList());
            XSSFSheet cover = workbook.getSheet("Cover");
            assertThat(cover.getRow(4).getCell(1).getNumericCellValue())
                    .isEqualTo(ground.result().iterations());
            assertThat(cover.getRow(5).getCell(1).getStringCellValue()).isEqualTo("7");

            XSSFSheet iterations = workbook.getSheet("Iterations");
            assertThat(iterations.getLastRowNum()).isEqualTo(ground.result().iterations());
            assertThat(iterations.getRow(12).getCell(3).getNumericCellValue())
                    .isEqualTo(ground.result().cost().totals()[11]);
            assertThat(iterations.getRow(12).getCell(1).getLocalDateTimeCellValue())
                    .isEqualTo(Instants.toCivil(ground.result().finish()[11]));

            XSSFSheet percentiles = workbook.getSheet("Percentiles");
            assertThat(percentiles.getRow(80).getCell(4).getNumericCellValue())
                    .isEqualTo(Sample.of(ground.result().cost().totals()).percentile(0.8));
            assertThat(workbook.getSheet("Risk register").getLastRowNum())
                    .isEqualTo(ground.plan().risks().size());
            assertThat(workbook.getSheet("Scenarios").getLastRowNum())
                    .isEqualTo(ground.plan().scenarios().size());
            XSSFSheet flow = workbook.getSheet("Cash flow");
            assertThat(flow.getRow(flow.getLastRowNum()).getCell(4).getNumericCellValue())
                    .isCloseTo(Sample.of(ground.result().cost().totals()).percentile(0.5), within(1.0));
        }
    }

    @Test
    void aPlanWithoutMoneyOrRisksHasItsSheetsEmpty() throws IOException {
        try (XSSFWorkbook workbook =
                read(Examples.simulated(new PlanBuilder().task("A", 5).build()))) {
            assertThat(workbook.getSheet("Cash flow").getLastRowNum()).isZero();
            assertThat(workbook.getSheet("Risk register").getLastRowNum()).isZero();
            assertThat(workbook.getSheet("Percentiles").getRow(1).getCell(4)).isNull();
        }
    }
}
