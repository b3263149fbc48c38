package app.tychon.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.programme.ProgrammePlan;
import app.tychon.exchange.programme.ProgrammeFile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ProgrammeFileTest {
    private static final Path EXAMPLES = Path.of("..", "examples");

    private static ProgrammeFile read(String text) throws IOException {
        return ProgrammeFile.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    private static String demo() throws IOException {
        return Files.readString(EXAMPLES.resolve("ridge.programme.json"));
    }

    private static Optional<Plan> beside(String name) throws IOException {
        Path file = EXAMPLES.resolve(name);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(file)) {
            return Optional.of(ProjectFileReader.read(in));
        }
    }

    @Test
    void whatIsWrittenIsReadBackTiesOfEveryKindIncluded() throws IOException {
        ProgrammeFile file = read(demo());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        file.write(out);
        assertThat(read(out.toString(StandardCharsets.UTF_8))).isEqualTo(file);
        assertThat(file.ties())
                .extracting(tie -> tie.getClass().getSimpleName())
                .contains("Logic", "SharedRisk", "Together", "SharedResource");
    }

    /** Recorded runs keep the plan of a programme as a project file. */
    @Test
    void thePlanOfAProgrammeIsAProjectFileAsWell() throws IOException {
        Plan plan = ProgrammePlan.of(read(demo()).with(ProgrammeFileTest::beside));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ProjectFileWriter.write(plan, out);
        Plan again = ProjectFileReader.read(new ByteArrayInputStream(out.toByteArray()));
        assertThat(again).isEqualTo(plan);
        assertThat(again.parts()).extracting(part -> part.draws()).containsExactly("", "visitor-centre/");
    }

    @Test
    void everyProblemIsToldWithItsPlace() throws IOException {
        assertThatThrownBy(() -> read("{\"format\":\"tychon-project\"}"))
                .hasMessageContaining("not a Tychon programme file");
        assertThatThrownBy(() -> read(demo().replace("\"kind\": \"risk\"", "\"kind\": \"rope\"")))
                .isInstanceOf(InvalidPlanException.class)
                .hasMessageContaining("must be one of logic, risk, together, resource, not \"rope\"");
        ProgrammeFile elsewhere = read(demo().replace("visitor-centre.tychon", "nowhere.tychon"));
        assertThatThrownBy(() -> elsewhere.with(ProgrammeFileTest::beside))
                .hasMessageContaining("/projects/1/file")
                .hasMessageContaining("there is no project nowhere.tychon.json");
    }
}
