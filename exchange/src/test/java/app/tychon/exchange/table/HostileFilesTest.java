package app.tychon.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.schedule.ScheduleSheet;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

/** Files that are broken, far too large, or meant to do harm. */
class HostileFilesTest {
    @Test
    void badFilesAreRefusedWithASentenceThatHelps() throws Exception {
        byte[] good = SpreadsheetTest.workbook(sheet -> {
            sheet.value(0, 0, "Name");
            sheet.value(1, 0, "A");
        });
        refused(Arrays.copyOf(good, good.length / 2), "damaged or cut short");
        refused(new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 1}, "password");
        refused("%PDF-1.7".getBytes(StandardCharsets.UTF_8), "PDF");
        refused(zip("a.txt", "hello"), "no .xlsx workbook");
        refused(zip("xl/workbook.xml", "<not xml"), "cannot be read");
        refused(bomb(), "Unpacked, the workbook comes to more than");
        String entity = "<?xml version=\"1.0\"?><!DOCTYPE w [<!ENTITY x SYSTEM \"file:///etc/hostname\">]>"
                + "<workbook><sheets><sheet name=\"&x;\"/></sheets></workbook>";
        refused(zip("xl/workbook.xml", entity), "workbook");
    }

    private static void refused(byte[] file, String reason) {
        assertThatThrownBy(() -> SpreadsheetTest.table(file))
                .isInstanceOf(UnreadableTableException.class)
                .hasMessageContaining(reason);
    }

    private static byte[] zip(String name, String content) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(content.getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        return out.toByteArray();
    }

    /** Seven hundred megabytes of nothing in a few. */
    private static byte[] bomb() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] zeros = new byte[1 << 20];
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.setLevel(Deflater.BEST_SPEED);
            zip.putNextEntry(new ZipEntry("xl/workbook.xml"));
            for (int i = 0; i < 700; i++) {
                zip.write(zeros);
            }
            zip.closeEntry();
        }
        return out.toByteArray();
    }

    @Test
    void whatLooksLikeAFormulaIsHarmlessInAFile() throws Exception {
        Plan plan = RandomPlans.oneCalendar(1, 3);
        Plan named = plan.withActivities(
                plan.activities().stream().map(a -> a.withName("=1+1")).toList());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SheetFiles.csv(ScheduleSheet.of(named, Scheduler.schedule(Network.of(named))), out);
        assertThat(out.toString(StandardCharsets.UTF_8)).contains(",'=1+1,").doesNotContain(",=1+1");
    }

    private static byte[] sheet(String cells) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (String[] part : new String[][] {
                {"xl/workbook.xml", "<workbook><sheets><sheet name=\"One\" sheetId=\"1\"/></sheets></workbook>"},
                {"xl/worksheets/sheet1.xml", "<worksheet><sheetData>" + cells + "</sheetData></worksheet>"}
            }) {
                zip.putNextEntry(new ZipEntry(part[0]));
                zip.write(part[1].getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    /** Each of these once took all memory there was. */
    @Test
    void cellsThatNoSpreadsheetHasRoomForAreRefusedBeforeAnythingReadsThem() throws Exception {
        refused(sheet("<row r=\"1\"><c r=\"ZZZZZZ1\"><v>1</v></c></row>"), "ZZZZZZ1");
        refused(sheet("<row r=\"1\"><c r=\"XFE1\"><v>1</v></c></row>"), "XFE1");
        refused(sheet("<row r=\"1\"><c r=\"A999999999\"><v>1</v></c></row>"), "A999999999");
        refused(sheet("<row r=\"1999999999\"/>"), "1999999999");
        refused(sheet("<row r=\"1\"><c r=\"B1\"><v>1e999999999</v></c></row>"), "Cell B1");
        refused(sheet("<row r=\"1\"><c r=\"B1\"><v>9E-999999999</v></c></row>"), "Cell B1");
        SheetBounds.check(
                new ByteArrayInputStream("<s><row r=\"1048576\"><c r=\"XFD1048576\"><v>1.5E+300</v></c></row></s>"
                        .getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void signsThatSpreadsheetsTakeForFormulasAreHarmlessWhicheverTheyAre() throws Exception {
        for (String start : List.of("=", "+", "-", "@", "\t=", "\r=", "\uFF1D", "\uFF0B", "\uFF0D", "\uFF20")) {
            Plan plan = RandomPlans.oneCalendar(1, 1);
            Plan named = plan.withActivities(plan.activities().stream()
                    .map(a -> a.withName(start + "cmd"))
                    .toList());
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            SheetFiles.csv(ScheduleSheet.of(named, Scheduler.schedule(Network.of(named))), out);
            assertThat(out.toString(StandardCharsets.UTF_8)).as(start).contains("'" + start + "cmd");
        }
    }
}
