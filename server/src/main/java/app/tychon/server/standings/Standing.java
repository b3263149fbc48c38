package app.tychon.server.standings;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;

/**
 * Where a project stands, or a project within a programme.
 *
 * @param code of a project within a programme; absent for one by itself
 * @param cost absent where there is no money
 * @param currency of the cost
 * @param driver what drives the finish most; absent where nothing varies
 * @param milestones by planned date; of a programme they stand with its projects
 */
record Standing(
        @Nullable String code,
        int confidence,
        Reach<LocalDateTime> finish,
        @Nullable Reach<Double> cost,
        String currency,
        @Nullable String driver,
        int findings,
        List<MilestoneReach> milestones,
        List<Standing> parts) {}
