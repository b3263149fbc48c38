package app.tychon.cli;

import app.tychon.core.model.Plan;
import app.tychon.core.programme.ProgrammePlan;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.programme.ProgrammeFile;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Plans as files: of a project, or of a programme, whose projects stand in files beside it. */
final class PlanFiles {
    /** What a file is stands at its beginning. */
    private static final int HEAD = 4096;

    private PlanFiles() {}

    /**
     * @throws app.tychon.core.model.InvalidPlanException with every problem
     */
    static Plan read(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file), HEAD)) {
            in.mark(HEAD);
            String head = new String(in.readNBytes(HEAD), StandardCharsets.UTF_8);
            in.reset();
            if (head.contains("\"" + ProgrammeFile.FORMAT + "\"")) {
                return ProgrammePlan.of(ProgrammeFile.read(in).with(name -> beside(file, name)));
            }
            return ProjectFileReader.read(in);
        }
    }

    private static Optional<Plan> beside(Path programme, String name) throws IOException {
        Path file = programme.resolveSibling(name);
        return Files.isRegularFile(file) ? Optional.of(read(file)) : Optional.empty();
    }
}
