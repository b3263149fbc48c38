package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What of an activity has happened by the data date.
 *
 * @param remaining working time still needed, of work that has started; where it is not said, the planned duration less
 *                  what the calendar held from the start to the data date
 */
public record Progress(
        Optional<LocalDateTime> actualStart, Optional<LocalDateTime> actualFinish, Optional<WorkDuration> remaining) {
    public static final Progress NONE = new Progress(Optional.empty(), Optional.empty(), Optional.empty());

    public boolean hasStarted() {
        return actualStart.isPresent();
    }

    public boolean isFinished() {
        return actualFinish.isPresent();
    }

    /** Started, and not finished. */
    public boolean isUnderWay() {
        return hasStarted() && !isFinished();
    }
}
