package app.tychon.server.launch;

import app.tychon.server.projects.ProjectService;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Brings in the demo plan through the importer every user uses, once. */
@Component
class DemoLoader {
    private static final String CODE = "kestrel-ridge";

    private final ProjectService projects;
    private final Path examples;

    DemoLoader(ProjectService projects, @Value("${tychon.examples:examples}") Path examples) {
        this.projects = projects;
        this.examples = examples;
    }

    /** The demo's project, which is brought in where there is none yet. */
    UUID load() {
        return projects.findByCode(CODE).orElseGet(this::bringIn);
    }

    private UUID bringIn() {
        Path file = examples.resolve(CODE + ".tychon.json");
        try (InputStream in = Files.newInputStream(file)) {
            return projects.bringInDemo(in);
        } catch (IOException e) {
            throw new CannotStart("The demo plan cannot be read from " + file + ".");
        }
    }
}
