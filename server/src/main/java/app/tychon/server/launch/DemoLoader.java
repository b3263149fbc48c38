package app.tychon.server.launch;

import app.tychon.server.programmes.ProgrammeFiles;
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
    private static final String BELOW = "visitor-centre";
    private static final String PROGRAMME = "ridge.programme.json";

    private final ProjectService projects;
    private final ProgrammeFiles programmes;
    private final Path examples;

    DemoLoader(
            ProjectService projects, ProgrammeFiles programmes, @Value("${tychon.examples:examples}") Path examples) {
        this.projects = projects;
        this.programmes = programmes;
        this.examples = examples;
    }

    /** The demo's project, which is brought in where there is none yet. */
    UUID load() {
        return projects.findByCode(CODE).orElseGet(this::bringIn);
    }

    /** With a second project and the programme that both make, where that is not there yet. */
    private UUID bringIn() {
        UUID demo = read(CODE + ".tychon.json", projects::bringInDemo);
        if (projects.findByCode(BELOW).isEmpty()) {
            read(BELOW + ".tychon.json", projects::bringIn);
            read(PROGRAMME, programmes::bringIn);
        }
        return demo;
    }

    private interface Reader {
        UUID read(InputStream in) throws IOException;
    }

    private UUID read(String name, Reader reader) {
        Path file = examples.resolve(name);
        try (InputStream in = Files.newInputStream(file)) {
            return reader.read(in);
        } catch (IOException e) {
            throw new CannotStart("The demo plan cannot be read from " + file + ".");
        }
    }
}
