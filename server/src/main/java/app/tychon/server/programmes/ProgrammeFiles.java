package app.tychon.server.programmes;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.core.programme.Programme;
import app.tychon.exchange.programme.ProgrammeFile;
import app.tychon.exchange.programme.ProgrammeFile.Named;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Programmes as files: of projects that are on this server already. */
@Service
public class ProgrammeFiles {
    private static final String ENDING = ".tychon.json";

    private final Programmes programmes;
    private final ProjectRepository projects;
    private final TransactionTemplate transaction;

    ProgrammeFiles(Programmes programmes, ProjectRepository projects, TransactionTemplate transaction) {
        this.programmes = programmes;
        this.projects = projects;
        this.transaction = transaction;
    }

    /**
     * Keeps a programme; all of it or nothing.
     *
     * @throws InvalidPlanException with every problem, such as projects that are not here
     */
    public UUID bringIn(InputStream in) throws IOException {
        ProgrammeFile file = ProgrammeFile.read(in);
        return transaction.execute(status -> {
            List<Problem> problems = new ArrayList<>();
            List<PartWords> members = new ArrayList<>();
            for (int i = 0; i < file.projects().size(); i++) {
                Named named = file.projects().get(i);
                String pointer = "/projects/" + i + "/file";
                String code = named.file().endsWith(ENDING)
                        ? named.file().substring(0, named.file().length() - ENDING.length())
                        : named.file();
                projects.findFirstByCodeAndScenarioOfIsNullOrderByCreatedAt(code)
                        .map(ProjectEntity::id)
                        .ifPresentOrElse(
                                id -> members.add(new PartWords(
                                        id,
                                        named.code(),
                                        named.rate().map(rate -> rate.worth()).orElse(null),
                                        named.rate().map(rate -> rate.on()).orElse(null))),
                                () -> problems.add(new Problem(
                                        pointer,
                                        "there is no project with the code \"" + code + "\" here; bring it in first")));
            }
            if (!problems.isEmpty()) {
                throw new InvalidPlanException(problems);
            }
            return programmes.keep(
                    new Programme(file.id(), file.name(), file.currency(), file.targets(), List.of(), file.ties()),
                    members);
        });
    }
}
