package app.tychon.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.model.Link;
import app.tychon.core.model.WorkDuration;
import app.tychon.exchange.schedule.DurationWords;
import app.tychon.exchange.schedule.PredecessorText;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.schedule.ScheduleReader;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TableTest {
    private static final Set<String> KNOWN = Set.of("A10", "A20", "A-1", "PASS", "3");

    private final List<String> problems = new ArrayList<>();

    private List<Link> links(String text) {
        return PredecessorText.read(
                text, "Z", word -> KNOWN.contains(word) ? Optional.of(word) : Optional.empty(), problems::add);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "A10 | A10 FS 0d",
                "A10SS | A10 SS 0d",
                "A20FS+3d | A20 FS 3d",
                "A20 ff - 1.5 wks | A20 FF -1.5w",
                "A10+2,5d | A10 FS 2.5d",
                "A-1 | A-1 FS 0d",
                "A-1-2h | A-1 FS -2h",
                "A-1SF+10min | A-1 SF 10min",
                "PASS | PASS FS 0d",
                "PASSFF | PASS FF 0d",
                "3FS+14ed | 3 FS 14ed"
            })
    void aPredecessorIsReadWithTypeAndLag(String text, String meant) {
        List<Link> links = links(text);
        assertThat(problems).isEmpty();
        assertThat(links).singleElement().satisfies(link -> assertThat(
                        link.from() + " " + link.type() + " " + link.lag())
                .isEqualTo(meant));
    }

    @Test
    void severalArePartedBySemicolonsCommasOrLines() {
        assertThat(links("A10; A20FS+3d;\nA-1")).hasSize(3);
        assertThat(links("A10,A20FS+2,5d,3")).hasSize(3);
        assertThat(links("  ")).isEmpty();
        assertThat(problems).isEmpty();
    }

    @Test
    void whatIsNoneIsToldAndTheOthersAreKept() {
        assertThat(links("A10; B99; A20XX; A10FS+3moons")).hasSize(1);
        assertThat(problems).hasSize(3).allMatch(p -> p.contains("is no predecessor"));
    }

    @ParameterizedTest
    @CsvSource({
        "12,12d",
        "12 days,12d",
        "3.5d?,3.5d",
        "4 hrs,4h",
        "2 wks,2w",
        "30 mins,30min",
        "3 edays,3ed",
        "1 Day,1d"
    })
    void durationsHaveManySpellings(String text, String meant) {
        assertThat(DurationWords.read(text)).map(WorkDuration::toString).contains(meant);
    }

    @ParameterizedTest
    @CsvSource({"soon", "12 parsecs", "d", "1e9d", "--2d"})
    void nonsenseIsNoDuration(String text) {
        assertThat(DurationWords.read(text)).isEmpty();
    }

    @Test
    void quotedSeparatorsAndLinesStayInTheirCell() throws UnreadableTableException {
        Table table = CsvTables.read("id;name\n1;\"Pour; then cure\"\n\n2;\"two\nlines\"\n", ScheduleColumn::says);
        assertThat(table.rows()).hasSize(2);
        assertThat(table.rows().get(0).cell(1)).isEqualTo("Pour; then cure");
        assertThat(table.rows().get(1).cell(1)).isEqualTo("two\nlines");
        assertThat(table.rows().get(1).cell(7)).isEmpty();
    }

    @Test
    void headersAreGuessedInCommonWords() {
        assertThat(ScheduleColumn.guess(
                        List.of("Activity ID", "Task Name", "Original_Duration", "Pred", "Owner", "Pessimistic")))
                .isEqualTo(Map.of(
                        ScheduleColumn.ID,
                        0,
                        ScheduleColumn.NAME,
                        1,
                        ScheduleColumn.DURATION,
                        2,
                        ScheduleColumn.PREDECESSORS,
                        3,
                        ScheduleColumn.HIGH,
                        5));
        assertThat(ScheduleColumn.of("low")).isEqualTo(ScheduleColumn.LOW);
        assertThatThrownBy(() -> ScheduleColumn.of("colour")).hasMessageContaining("not \"colour\"");
    }

    @Test
    void tooLargeAndUnclosedFilesAreRefused() {
        byte[] large = new byte[Tables.LARGEST + 1];
        Arrays.fill(large, (byte) 'x');
        assertThatThrownBy(() -> Tables.read(new ByteArrayInputStream(large), ScheduleColumn::says))
                .isInstanceOf(UnreadableTableException.class)
                .hasMessageContaining("more than 50 MB");
        assertThatThrownBy(() -> CsvTables.read("a,b\n\"never closed,1\n2,3\n", ScheduleColumn::says))
                .isInstanceOf(UnreadableTableException.class)
                .hasMessageContaining("never closed");
        byte[] rows = "a\n".repeat(Tables.MOST_ROWS + 5).getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> CsvTables.read(new ByteArrayInputStream(rows), ScheduleColumn::says))
                .isInstanceOf(UnreadableTableException.class)
                .hasMessageContaining("more than 200000 rows");
    }

    @Test
    void aLoopIsToldAtItsRowHoweverManyLinksThereAre() throws UnreadableTableException {
        Table table = CsvTables.read(
                "id,name,duration,predecessors\nA,a,1d,\nB,b,1d,A;C\nC,c,1d,A;B;ASS;AFF;BSS\n", ScheduleColumn::says);
        List<CellProblem> told = ScheduleReader.read(
                        table, ScheduleColumn.guess(table.header()), "Loop", LocalDateTime.of(2027, 3, 1, 8, 0))
                .problems();
        assertThat(told).isNotEmpty().allSatisfy(problem -> {
            assertThat(problem.row()).isIn(3, 4);
            assertThat(problem.column()).isEqualTo("predecessors");
            assertThat(problem.message()).contains("runs in a loop: ");
        });
        Table unnamed =
                CsvTables.read("id,name,duration\nA,a,1d\nB," + "b".repeat(600) + ",1d\n", ScheduleColumn::says);
        assertThat(ScheduleReader.read(
                                unnamed,
                                ScheduleColumn.guess(unnamed.header()),
                                "Long",
                                LocalDateTime.of(2027, 3, 1, 8, 0))
                        .problems())
                .singleElement()
                .satisfies(problem -> assertThat(problem.row()).isEqualTo(3));
    }

    @Test
    void aTableOfAMillionColumnsIsRefusedAtItsFirstRow() {
        String wide = "a,".repeat(1_000_000) + "a\n1\n";
        assertThatThrownBy(() -> CsvTables.read(wide, ScheduleColumn::says))
                .isInstanceOf(UnreadableTableException.class)
                .hasMessageContaining("1,000,001 columns");
        assertThatCode(() -> CsvTables.read("a,b" + ",".repeat(1000) + "\n1,2\n", ScheduleColumn::says))
                .as("blank ones at the end are nothing")
                .doesNotThrowAnyException();
    }
}
