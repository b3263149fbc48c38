package app.tychon.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WbsNode;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.schedule.ColumnGuess;
import app.tychon.exchange.schedule.Fidelity;
import app.tychon.exchange.schedule.PlainWeek;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.schedule.ScheduleReader;
import app.tychon.exchange.schedule.ScheduleSheet;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;

class SpreadsheetTest {
    private static final LocalDateTime START = LocalDateTime.of(2027, 3, 1, 8, 0);

    static Table table(byte[] file) throws Exception {
        return Tables.read(new ByteArrayInputStream(file), ScheduleColumn::says);
    }

    private static ScheduleReader.Read read(byte[] file) throws Exception {
        Table table = table(file);
        return ScheduleReader.read(table, ColumnGuess.of(table), "T", START);
    }

    @Test
    void aPlanTakenOutComesInAgainWithTheSameDates() throws Exception {
        for (int seed = 0; seed < 8; seed++) {
            Plan random = RandomPlans.oneCalendar(seed, 60);
            // A table names calendars; their hours it does not tell.
            Plan plan = random.edit()
                    .calendars(List.of(PlainWeek.of(random.project().calendar(), "Five-day week")))
                    .done();
            Schedule schedule = Scheduler.schedule(Network.of(plan));
            ByteArrayOutputStream xlsx = new ByteArrayOutputStream();
            SheetFiles.xlsx(ScheduleSheet.of(plan, schedule), xlsx);
            ByteArrayOutputStream csv = new ByteArrayOutputStream();
            SheetFiles.csv(ScheduleSheet.of(plan, schedule), csv);
            for (byte[] file : new byte[][] {xlsx.toByteArray(), csv.toByteArray()}) {
                ScheduleReader.Read read = read(file);
                assertThat(read.problems()).isEmpty();
                assertThat(read.plan().activities())
                        .extracting(Activity::id)
                        .containsExactlyInAnyOrderElementsOf(
                                plan.activities().stream().map(Activity::id).toList());
                assertThat(read.plan().links()).containsExactlyInAnyOrderElementsOf(plan.links());
                assertThat(Scheduler.schedule(Network.of(read.plan())).finish()).isEqualTo(schedule.finish());
                assertThat(Fidelity.of(read).compared()).isEqualTo(60);
                assertThat(Fidelity.of(read).differences()).isEmpty();
            }
        }
    }

    @Test
    void aWorkbookFromSomewhereIsReadBelowItsTitleWithDatesAndNumbers() throws Exception {
        byte[] file = workbook(sheet -> {
            sheet.value(0, 0, "Harbour light, status of March");
            String[] header = {"Id", "Task name", "Duration", "Predecessors", "Start"};
            for (int c = 0; c < header.length; c++) {
                sheet.value(2, c, header[c]);
            }
            sheet.value(3, 0, 10);
            sheet.value(3, 1, "Dig");
            sheet.value(3, 2, 12.5);
            sheet.value(3, 4, LocalDateTime.of(2027, 3, 1, 8, 0));
            sheet.style(3, 4).format("dd/mm/yyyy hh:mm").set();
            sheet.value(1_000_000, 0, 20);
            sheet.value(1_000_000, 1, "Pour");
            sheet.value(1_000_000, 2, "2w");
            sheet.value(1_000_000, 3, "10FS+1d");
        });
        Table table = table(file);
        assertThat(table.rows()).hasSize(2);
        assertThat(table.rows().get(0).cells()).startsWith("10", "Dig", "12.5").endsWith("2027-03-01 08:00");
        assertThat(table.rows().get(1).number()).as("as the sheet counts them").isEqualTo(1_000_001);
        assertThat(read(file).problems()).isEmpty();
    }

    @Test
    void branchesAreRecognisedByIndentByLevelAndByCode() throws Exception {
        String[] tables = {
            "Id,Task,Duration,After\nS,Site,,\nA,   Clear,5,\nB,   Dig,5,A\nE,Enclosure,,S\nC,   Steel,5,B;S\n",
            "Id,Level,Task,Duration,After\nS,1,Site,,\nA,2,Clear,5,\nB,2,Dig,5,A\nE,1,Enclosure,,S\nC,2,Steel,5,B;S\n",
            "Id,WBS,Task,Duration,After\nS,1,Site,,\nA,1.1,Clear,5,\nB,1.2,Dig,5,A\nE,2,Enclosure,,S\nC,2.1,Steel,5,B;S\n"
        };
        for (String text : tables) {
            ScheduleReader.Read read = read(text.getBytes(StandardCharsets.UTF_8));
            assertThat(read.problems()).isEmpty();
            assertThat(read.plan().wbs()).extracting(WbsNode::name).containsExactly("Site", "Enclosure");
            assertThat(read.plan().activities()).extracting(Activity::wbs).containsExactly("S", "S", "E");
            assertThat(read.plan().links()).as("logic of activities only").hasSize(2);
            assertThat(read.notes()).as("what was left out is told").hasSize(2).allMatch(n -> n.message()
                    .contains("branch"));
        }
    }

    @Test
    void columnsWithoutAKnownHeaderAreGuessedFromWhatStandsInThem() throws Exception {
        Table table =
                table("Ref,Vorgang,Dauer,Nach\nA1,Survey the ridge,12d,\nA2,Cut the road,3w,A1\nA3,Pave it,4d,A2FS+2d\n"
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(ColumnGuess.of(table))
                .containsEntry(ScheduleColumn.ID, 0)
                .containsEntry(ScheduleColumn.NAME, 1)
                .containsEntry(ScheduleColumn.DURATION, 2)
                .containsEntry(ScheduleColumn.PREDECESSORS, 3);
    }

    @Test
    void theOrderOfDatesIsRecognisedFromAllOfThem() {
        assertThat(DateWords.order(Arrays.asList("3/4/27", "3/25/27"))).isEqualTo(DateWords.Order.MONTH_FIRST);
        assertThat(DateWords.order(Arrays.asList("3/4/27", "25/3/27"))).isEqualTo(DateWords.Order.DAY_FIRST);
        assertThat(DateWords.order(Arrays.asList("3/4/27", "5/6/27"))).isEqualTo(DateWords.Order.DAY_FIRST);
        DateWords us = DateWords.of(DateWords.Order.MONTH_FIRST);
        LocalDateTime day = LocalDateTime.of(2027, 3, 25, 0, 0);
        for (String text :
                new String[] {"3/25/27", "2027-03-25", "25 Mar 2027", "Mar 25, 2027", "Thu 3/25/2027", "25-Mar-27"}) {
            assertThat(us.read(text)).as(text).contains(new DateWords.Moment(day, false));
        }
        assertThat(us.read("3/25/27 5:30 PM"))
                .contains(new DateWords.Moment(day.withHour(17).withMinute(30), true));
        assertThat(us.read("2027-03-25T08:00:00")).contains(new DateWords.Moment(day.withHour(8), true));
        assertThat(us.read("31/31/27")).isEmpty();
        assertThat(us.read("soon")).isEmpty();
    }

    @Test
    void progressAndConstraintsComeInAndBadOnesAreToldByCell() throws Exception {
        String good = "Id,Name,Duration,Actual start,Actual finish,Remaining,Constraint,Constraint date\n"
                + "A,Dig,5,1.3.2027,5.3.2027,,,\nB,Pour,10,8.3.2027,,4d,,\nC,Steel,5,,,,Start No Earlier Than,3.5.2027\n";
        ScheduleReader.Read read = read(good.getBytes(StandardCharsets.UTF_8));
        assertThat(read.problems()).isEmpty();
        assertThat(read.plan().project().dataDate()).contains(LocalDateTime.of(2027, 3, 8, 8, 0));
        assertThat(read.plan().activities().get(1).progress().remaining()).hasToString("Optional[4d]");
        assertThat(read.plan().activities().get(2).constraint()).isPresent();
        String bad = good.replace("3.5.2027", "some day").replace("4d", "few").replace("1.3.2027", "32.3.2027");
        assertThat(read(bad.getBytes(StandardCharsets.UTF_8)).problems())
                .extracting(CellProblem::toString)
                .anySatisfy(p -> assertThat(p).startsWith("row 2, Actual start: \"32.3.2027\" is no date"))
                .anySatisfy(p -> assertThat(p).startsWith("row 3, Remaining: \"few\" is no duration"))
                .anySatisfy(p -> assertThat(p).startsWith("row 4, Constraint date: \"some day\" is no date"));
    }

    @Test
    void differencesFromTheTablesDatesAreExplainedWhereTheyBegin() throws Exception {
        String text = "Id,Name,Duration,After,Start,Finish\n"
                + "A,Dig,5,,2027-03-08,2027-03-12\n"
                + "B,Pour,5,A,2027-03-15,2027-03-19\n"
                + "C,Cure,5,,2027-03-01,2027-03-09\n";
        Fidelity.Report report = Fidelity.of(read(text.getBytes(StandardCharsets.UTF_8)));
        assertThat(report.compared()).isEqualTo(3);
        assertThat(report.differences()).extracting(Fidelity.Difference::id).containsExactly("A", "B", "C");
        assertThat(report.differences()).extracting(Fidelity.Difference::cause).containsExactly(true, false, true);
        assertThat(report.differences().get(0).reason()).contains("Nothing in the table holds it there");
        assertThat(report.differences().get(0).daysLater()).isEqualTo(-7);
        assertThat(report.differences().get(1).reason()).contains("follows A");
        assertThat(report.differences().get(2).reason()).contains("2 working days more");
        String begun = "Id,Name,Duration,Finish,Actual start,Actual finish\n"
                + "A,Dig,5,2027-03-05,2027-03-01,2027-03-12\nB,Fence,5,2027-03-05,,\n";
        assertThat(Fidelity.of(read(begun.getBytes(StandardCharsets.UTF_8))).differences())
                .filteredOn(d -> d.id().equals("B"))
                .singleElement()
                .satisfies(d -> assertThat(d.reason()).contains("cannot start before the data date, 2027-03-12"));
    }

    /** Writes cells of a sheet. */
    interface Cells {
        void write(Worksheet sheet);
    }

    static byte[] workbook(Cells cells) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook workbook = new Workbook(out, "test", "1.0")) {
            cells.write(workbook.newWorksheet("One"));
        }
        return out.toByteArray();
    }

    @Test
    void branchesCarryTheirDatesTheirLengthAndTheirMoney() throws Exception {
        Plan plan = new PlanBuilder()
                .branch("X", "W")
                .task("A", "X", "std", WorkDuration.days(5), null)
                .task("B", "X", "std", WorkDuration.days(7), null)
                .task("C", 2)
                .link("A", "B")
                .cost("M", "A", 1000, 1, null)
                .cost("N", "X", 500, 1, null)
                .resource("crew", 100, Resource.Per.DAY)
                .assign("B", "crew", 1)
                .build();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SheetFiles.csv(ScheduleSheet.of(plan, Scheduler.schedule(Network.of(plan))), out);
        Table table = table(out.toByteArray());
        int x = 0;
        while (!table.rows().get(x).cell(0).equals("X")) {
            x++;
        }
        Table.Row branch = table.rows().get(x);
        assertThat(branch.cell(4)).isEqualTo("12.0d");
        assertThat(branch.cell(7)).isEqualTo("2027-03-01 08:00");
        assertThat(branch.cell(8)).isEqualTo("2027-03-16 17:00");
        assertThat(branch.cell(15)).isEqualTo("2200.0");
        assertThat(table.rows().get(0).cell(15)).isEqualTo("2200.0");
    }

    private static Estimate estimateOf(String csv) throws Exception {
        return read(csv.getBytes(StandardCharsets.UTF_8))
                .plan()
                .activities()
                .get(0)
                .estimate()
                .orElseThrow();
    }

    @Test
    void threePointsAreKnownByManyWordsAndInUnits() throws Exception {
        assertThat(estimateOf("Id,Name,Duration,Best,Real,Worst\nA,Dig,10d,8,10,15\n")
                        .shape())
                .isEqualTo(new Shape.Triangular(8, 10, 15));
        assertThat(estimateOf("Id,Name,Duration,Opt,ML,Pess\nA,Dig,10d,2 wks,3 wks,4w\n")
                        .shape())
                .isEqualTo(new Shape.Triangular(10, 15, 20));
        assertThat(estimateOf("Id,Name,Duration,P10,Mode,P90\nA,Dig,10d,8,10,15\n")
                        .shape())
                .isEqualTo(new Shape.Triangular(8, 10, 15, new Shape.Ends(0.1, 0.9)));
    }

    @Test
    void threeRisingColumnsWithoutAKnownHeaderAreARange() throws Exception {
        assertThat(estimateOf("Id,Name,Duration,u,v,w\nA,Dig the pit,10d,8,10,15\nB,Pour it all,5d,4,5,9\n"
                                + "C,Let it set,3d,3,3,4\n")
                        .shape())
                .isEqualTo(new Shape.Triangular(8, 10, 15));
        Table falling = table("Id,Name,Duration,u,v,w\nA,Dig the pit,10d,8,10,15\nB,Pour it all,5d,4,5,2\n"
                .getBytes(StandardCharsets.UTF_8));
        assertThat(ColumnGuess.of(falling)).doesNotContainKey(ScheduleColumn.LOW);
    }
}
