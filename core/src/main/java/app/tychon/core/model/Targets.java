package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.Optional;

/** What has been promised: a finish and a budget. */
public record Targets(Optional<LocalDateTime> finish, Optional<Double> cost) {
    public static final Targets NONE = new Targets(Optional.empty(), Optional.empty());
}
