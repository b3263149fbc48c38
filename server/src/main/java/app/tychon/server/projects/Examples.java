package app.tychon.server.projects;

import app.tychon.core.model.Plan;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.server.problems.NotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.springframework.stereotype.Component;

/** The example plans that come with Tychon. */
@Component
class Examples {
    /** An example, by the name of its file. */
    record Example(String id, String name, String about) {}

    private static final List<Example> ALL = List.of(
            new Example(
                    "kestrel-ridge",
                    "Kestrel Ridge Observatory",
                    "A research telescope on a ridge: 64 activities, ranges, risks and costs."),
            new Example(
                    "visitor-centre",
                    "Visitor centre below the ridge",
                    "A small building whose work waits for the road of another project: for programmes."),
            new Example("garden-room", "Garden room", "A small plan to learn on."));

    List<Example> all() {
        return ALL;
    }

    Plan read(String id) throws IOException {
        if (ALL.stream().noneMatch(example -> example.id().equals(id))) {
            throw new NotFoundException("There is no such example.");
        }
        try (InputStream file = Examples.class.getResourceAsStream("/examples/" + id + ".tychon.json")) {
            return ProjectFileReader.read(file);
        }
    }
}
