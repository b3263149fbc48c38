package app.tychon.exchange.ranges;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.ranges.RangeReader.Kind;
import app.tychon.exchange.ranges.RangeReader.Spread;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.SheetFiles;
import app.tychon.exchange.table.Tables;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RangeTableTest {
    private static final Plan PLAN = new PlanBuilder()
            .grade("B", new Shape.Triangular(0.9, 1, 1.3))
            .graded("W", "B")
            .task("A1", 10, new Shape.Triangular(8, 10, 15))
            .task("A2", 10)
            .cost("C1", "A1", 1000, 1, null)
            .build();

    private static RangeReader.Read read(String csv) throws Exception {
        return RangeReader.read(
                Tables.read(new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)), ScheduleColumn::says),
                PLAN);
    }

    private static List<String> problems(String csv) throws Exception {
        return read(csv).problems().stream().map(CellProblem::toString).toList();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatIsTakenOutComesInAgainWithoutADifference(boolean xlsx) throws Exception {
        Plan demo;
        try (InputStream in = Files.newInputStream(Path.of("..", "examples", "kestrel-ridge.tychon.json"))) {
            demo = ProjectFileReader.read(in);
        }
        Shape odd = new Shape.Truncated(new Shape.Lognormal(12, 3), OptionalDouble.of(6), OptionalDouble.empty());
        Plan plan = demo.withActivities(demo.activities().stream()
                .map(a -> a.id().equals("S10") ? a.withEstimate(Optional.of(new Estimate(odd, Basis.DAYS))) : a)
                .toList());
        RangeReader.Read read = RangeReader.read(
                Tables.read(new ByteArrayInputStream(written(plan, xlsx)), ScheduleColumn::says), plan);
        assertThat(read.problems()).isEmpty();
        assertThat(read.after()).isEmpty();
    }

    private static byte[] written(Plan plan, boolean xlsx) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (xlsx) {
            SheetFiles.xlsx(RangeSheet.of(plan), out);
        } else {
            SheetFiles.csv(RangeSheet.of(plan), out);
        }
        return out.toByteArray();
    }

    @Test
    void rangesAreReadInDaysInPercentAndInMoney() throws Exception {
        RangeReader.Read read =
                read("Id,Shape,Low,Likely,High\nA1,PERT,9,11,20\nA2,,90 %,100 %,150 %\nC1,triangular,900,1000,1400\n");
        assertThat(read.problems()).isEmpty();
        assertThat(read.after())
                .extracting(s -> s.estimate().orElseThrow())
                .containsExactly(
                        new Estimate(new Shape.Pert(9, 11, 20, 4), Basis.DAYS),
                        new Estimate(new Shape.Triangular(0.9, 1, 1.5), Basis.FACTOR),
                        new Estimate(new Shape.Triangular(900, 1000, 1400), Basis.MONEY));
    }

    @Test
    void gradesAreKnownByNameMarkOrIdAndAnEmptyCellGivesBackToTheBranch() throws Exception {
        RangeReader.Read read = read("Code,Grade\nA2,b\nW,\n");
        assertThat(read.problems()).isEmpty();
        assertThat(read.after())
                .extracting(Spread::id, Spread::kind, Spread::grade)
                .containsExactly(
                        tuple("A2", Kind.ACTIVITY, Optional.of("B")), tuple("W", Kind.BRANCH, Optional.empty()));
    }

    @Test
    void anEmptyRangeTakesTheOldOneAwayAndCertainIsSaid() throws Exception {
        RangeReader.Read read = read("Id,Shape,Low,Likely,High\nA1,,,,\nA2,certain,,,\n");
        assertThat(read.after().get(0).estimate()).isEmpty();
        assertThat(read.after().get(1).estimate()).contains(new Estimate(new Shape.Fixed(1), Basis.FACTOR));
    }

    @Test
    void everyCellThatCannotBeUnderstoodIsTold() throws Exception {
        assertThat(problems("Id,Grade,Shape,Low,Likely,High,Parameters\n"
                        + "X9,,,,,,\n"
                        + "A1,Z,,soon,2,3,\n"
                        + "A1,,,,,,\n"
                        + "A2,,,9,8,7,\n"
                        + "C1,,,,,,\"{\"\"shape\"\":\"\"gamma\"\"}\"\n"))
                .anySatisfy(
                        p -> assertThat(p).isEqualTo("row 2, id: the plan has no activity, branch or cost line \"X9\""))
                .anySatisfy(p -> assertThat(p).isEqualTo("row 3, grade: the project has no grade \"Z\""))
                .anySatisfy(p -> assertThat(p).isEqualTo("row 3, low: \"soon\" is no number"))
                .anySatisfy(p -> assertThat(p).isEqualTo("row 4, id: \"A1\" stands in the table twice"))
                .anySatisfy(p -> assertThat(p).startsWith("row 5, low: low 9 is above likely 8"))
                .anySatisfy(p -> assertThat(p).startsWith("row 6, parameters:"));
    }

    @Test
    void aTableOfSomethingElseIsRefused() throws Exception {
        assertThat(problems("City,Height\nA,1\n"))
                .containsExactly("row 1, id: no column is headed \"Id\" or \"Code\", so no row is known");
        assertThat(problems("Id,Height\nA1,1\n")).hasSize(1).allSatisfy(p -> assertThat(p)
                .contains("\"Low\" and \"High\""));
    }
}
