package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What has been promised, a finish and a budget, and how sure promises are to be.
 *
 * @param confidence the level that matters to this project, whole percent from 1 to 99
 */
public record Targets(Optional<LocalDateTime> finish, Optional<Double> cost, int confidence) {
    public static final int USUAL_CONFIDENCE = 80;

    public static final Targets NONE = new Targets(Optional.empty(), Optional.empty(), USUAL_CONFIDENCE);

    /** The level that matters as a chance, 0 to 1. */
    public double level() {
        return confidence / 100.0;
    }
}
