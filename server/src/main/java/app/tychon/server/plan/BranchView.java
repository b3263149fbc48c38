package app.tychon.server.plan;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;

/**
 * A WBS branch; start and finish are those of the work beneath it, absent where there is none.
 *
 * @param code the outline number people read
 */
public record BranchView(
        String id,
        @Nullable String parent,
        String code,
        String name,
        @Nullable String grade,
        @Nullable LocalDateTime start,
        @Nullable LocalDateTime finish) {}
