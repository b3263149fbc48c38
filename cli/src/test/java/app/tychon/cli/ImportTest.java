package app.tychon.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.ProjectFileReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ImportTest {
    private static final String SCHEDULE =
            """
            id,name,wbs,duration,predecessors,calendar,low,likely,high,shape
            A10,Survey,Site,12d,,,10,12,18,triangular
            A20,"Road, first half",Site/Road,20,A10,,80%,100%,150%,pert
            A30,Pier,Site/Pier,2w,"A10; A20FS+3d; A20SS-1d",Ridge,8,,14,
            M1,Ready,Site,0,"A20;A30FF+4h",,,,,
            """;

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(byte[] schedule, String... more) throws IOException {
        Path file = folder.resolve("ridge works.csv");
        Files.write(file, schedule);
        String[] arguments = new String[4 + more.length];
        arguments[0] = "import";
        arguments[1] = file.toString();
        arguments[2] = "--out";
        arguments[3] = folder.resolve("out.tychon.json").toString();
        System.arraycopy(more, 0, arguments, 4, more.length);
        return Tychon.commandLine()
                .setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .execute(arguments);
    }

    private Plan imported() throws IOException {
        try (InputStream in = Files.newInputStream(folder.resolve("out.tychon.json"))) {
            return ProjectFileReader.read(in);
        }
    }

    @Test
    void aScheduleInATableBecomesAProjectFileThatSimulates() throws IOException {
        assertThat(run(SCHEDULE.getBytes(StandardCharsets.UTF_8), "--start", "2027-03-01"))
                .as(err.toString())
                .isZero();
        Plan plan = imported();
        assertThat(out.toString()).startsWith("ridge works: 4 activities, 6 links, 3 with a range; finishes 2027-");
        assertThat(plan.project().start()).isEqualTo(LocalDateTime.parse("2027-03-01T08:00"));
        assertThat(plan.wbs())
                .extracting(WbsNode::code, WbsNode::name)
                .containsExactly(tuple("1", "Site"), tuple("1.1", "Road"), tuple("1.2", "Pier"));
        assertThat(plan.activities().get(1).name()).isEqualTo("Road, first half");
        assertThat(plan.activities().get(1).estimate().orElseThrow().shape()).isEqualTo(new Shape.Pert(0.8, 1, 1.5, 4));
        assertThat(plan.activities().get(2).estimate().orElseThrow().shape()).isEqualTo(new Shape.Uniform(8, 14));
        assertThat(plan.activities().get(2).calendar()).isEqualTo("Ridge");
        assertThat(plan.activities().get(3).kind()).isEqualTo(ActivityKind.MILESTONE);
        assertThat(plan.links())
                .extracting(l -> l.from() + l.type() + l.lag())
                .containsExactly("A10FS0d", "A10FS0d", "A20FS3d", "A20SS-1d", "A20FS0d", "A30FF4h");
        assertThat(plan.links().get(3).type()).isEqualTo(LinkType.SS);
    }

    @Test
    void separatorsAndEncodingsAreRecognised() throws IOException {
        String schedule = "Nr;Task name;Duration;Predecessors\n1;Straße räumen;3,5 days;\n2;Nächste;2 wks;1FS+2,5d\n";
        for (Charset charset :
                new Charset[] {StandardCharsets.UTF_8, StandardCharsets.UTF_16, Charset.forName("windows-1252")}) {
            assertThat(run(schedule.getBytes(charset))).as(err.toString()).isZero();
            Plan plan = imported();
            assertThat(plan.activities().get(0).name()).isEqualTo("Straße räumen");
            assertThat(plan.activities().get(0).duration().toString()).isEqualTo("3.5d");
            assertThat(plan.links().get(0).lag().toString()).isEqualTo("2.5d");
        }
        assertThat(run("name\tduration\tpredecessors\nA\t1\t\nB\t2\t1\n".getBytes(StandardCharsets.UTF_8)))
                .isZero();
        assertThat(imported().links()).singleElement().satisfies(l -> assertThat(l.from())
                .isEqualTo("R2"));
    }

    @Test
    void everyProblemIsToldWithItsRowAndColumn() throws IOException {
        String bad =
                """
                id,name,wbs,duration,predecessors,calendar,low,likely,high,shape
                A,First,S,soon,,,,,,
                B,,S,-3d,Z,,9,3,12,triangular
                B,Third,S,2d,A20XX,,1,,,banana
                """;
        assertThat(run(bad.getBytes(StandardCharsets.UTF_8))).isEqualTo(2);
        assertThat(err.toString().lines())
                .containsExactlyInAnyOrder(
                        "row 2, duration: \"soon\" is no duration; write 12d, 4h, 2w, 30min or 3ed",
                        "row 3, name: the name is empty",
                        "row 3, duration: a duration cannot be below zero; this is -3d",
                        "row 3, low: low 9 is above likely 3",
                        "row 3, predecessors: \"Z\" is no predecessor: it must name an activity of the table, with type"
                                + " and lag as in A20FS+3d where they are wanted",
                        "row 4, id: there is already an activity \"B\"",
                        "row 4, predecessors: \"A20XX\" is no predecessor: it must name an activity of the table, with"
                                + " type and lag as in A20FS+3d where they are wanted",
                        "row 4, high: the value is missing");
        assertThat(folder.resolve("out.tychon.json")).doesNotExist();
    }

    @Test
    void aLoopIsSpelledOut() throws IOException {
        String loop = "id,name,duration,predecessors\nA,a,1d,C\nB,b,1d,A\nC,c,1d,B\n";
        assertThat(run(loop.getBytes(StandardCharsets.UTF_8))).isEqualTo(2);
        assertThat(err.toString()).contains("predecessors: the logic runs in a loop: ");
    }

    @Test
    void whatIsNoTableIsRefusedWithASentence() throws IOException {
        assertThat(run(new byte[0])).isEqualTo(2);
        assertThat(run(new byte[] {'P', 'K', 3, 4, 0, 0, 0})).isEqualTo(2);
        assertThat(run(new byte[] {'a', 0, 'b', 0})).isEqualTo(2);
        assertThat(run("just,words\n1,2\n".getBytes(StandardCharsets.UTF_8))).isEqualTo(2);
        assertThat(err.toString().lines())
                .containsExactly(
                        "The table is empty: it has not even a header.",
                        "The workbook is damaged or cut short. Save it again as .xlsx.",
                        "The file is not text: it holds bytes that no table has.",
                        "row 1, name: there is no such column among just, words",
                        "row 1, duration: there is no such column among just, words",
                        "row 2, name: the name is empty");
    }
}
