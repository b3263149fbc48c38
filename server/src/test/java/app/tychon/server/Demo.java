package app.tychon.server;

import app.tychon.core.model.Plan;
import app.tychon.exchange.ProjectFileReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The demo plan, for tests without a database. */
public final class Demo {
    private Demo() {}

    public static Plan plan() {
        try (InputStream in = Files.newInputStream(Path.of("..", "examples", "kestrel-ridge.tychon.json"))) {
            return ProjectFileReader.read(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
