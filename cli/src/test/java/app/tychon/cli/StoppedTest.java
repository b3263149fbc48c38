package app.tychon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** The program as a process of its own, ended from outside while it works. */
class StoppedTest {
    private static final String DEMO =
            Path.of("..", "examples", "kestrel-ridge.tychon.json").toString();
    /** By then it simulates, and is far from the end. */
    private static final Duration AT_WORK = Duration.ofSeconds(4);

    @Test
    void tellsWhatIsThereAndPutsNoProgressIntoAPipe() throws IOException, InterruptedException {
        Process process = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Tychon.class.getName(),
                        "simulate",
                        DEMO,
                        "--iterations",
                        "1000000"))
                .redirectErrorStream(true)
                .start();
        try {
            boolean ended = false;
            while (!ended && used(process).compareTo(AT_WORK) < 0) {
                ended = process.waitFor(50, TimeUnit.MILLISECONDS);
            }
            process.toHandle().destroy();
            String told = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(process.waitFor(1, TimeUnit.MINUTES)).isTrue();
            assertThat(told)
                    .startsWith("Kestrel Ridge Observatory: ")
                    .contains("It was stopped before the 1,000,000 iterations that were asked for")
                    .contains("\nP80 ")
                    .contains("What drives the finish")
                    .doesNotContain("Simulating");
        } finally {
            process.destroyForcibly();
        }
    }

    private static Duration used(Process process) {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }
}
