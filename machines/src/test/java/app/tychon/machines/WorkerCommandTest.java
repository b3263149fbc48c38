package app.tychon.machines;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** What somebody gets to read who starts a worker in a wrong way. */
class WorkerCommandTest {
    @TempDir
    private Path folder;

    private static String said(String... words) {
        PrintStream usual = System.err;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        System.setErr(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            assertThat(new CommandLine(new WorkerCommand()).execute(words)).isNotZero();
        } finally {
            System.setErr(usual);
        }
        return said.toString(StandardCharsets.UTF_8);
    }

    private String file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    @Test
    void whatCannotBeIsSaidBeforeAnythingStarts() throws IOException {
        String secret = file("secret", Secret.fresh());
        assertThat(said("--join", "9400", "--secret-file", secret)).contains("such as risk.example.org:9400");
        assertThat(said("--join", "here:9400", "--secret-file", secret, "--threads", "0"))
                .contains("--threads must lie between 1 and 256, not 0");
        assertThat(said("--join", "here:9400", "--secret-file", "none"))
                .contains("none of --secret-file cannot be read");
        assertThat(said("--join", "here:9400", "--secret-file", file("weak", "short")))
                .contains("at least 20 characters");
        assertThat(said()).contains("--join");
    }
}
