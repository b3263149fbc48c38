package app.tychon.server.rights;

import java.util.Optional;
import java.util.UUID;

/** Tells to which project a simulation belongs, recorded or live. */
@FunctionalInterface
public interface ProjectOfRun {
    Optional<UUID> of(UUID run);
}
