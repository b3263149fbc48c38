package app.tychon.server.project;

import java.util.Optional;
import java.util.UUID;

/** Something that rests on a project, so that it is not deleted beneath it. */
public interface ProjectHolder {
    /** Why the project cannot be deleted now; nothing where it can. */
    Optional<String> holds(UUID project);
}
