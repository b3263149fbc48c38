package app.tychon.server.plan;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;

/**
 * A WBS branch; start and finish are those of the work beneath it, absent where there is none.
 *
 * @param code the outline number people read
 * @param grade of its own, that holds for everything beneath which has none
 * @param inherited that of the nearest branch above
 */
public record BranchView(
        String id,
        @Nullable String parent,
        String code,
        String name,
        @Nullable String grade,
        @Nullable String inherited,
        @Nullable LocalDateTime start,
        @Nullable LocalDateTime finish) {}
