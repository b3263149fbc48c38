package app.tychon.server.runs;

import java.util.Optional;
import java.util.UUID;

/** Something that may rest on a run, so that the run must stay. */
public interface RunHolder {
    /** Why a run must stay, in a sentence; nothing where it need not. */
    Optional<String> holds(UUID run);
}
