package app.tychon.server.since;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;

/**
 * How the forecast has moved from one recorded run to the next, oldest first.
 *
 * @param level percent
 */
record DriftView(int level, List<DriftPoint> points) {
    /**
     * What one run said.
     *
     * @param at       when it was made
     * @param dataDate up to when progress was known
     * @param target   the date that was promised then
     * @param planCost absent where the plan had no money
     */
    record DriftPoint(
            UUID run,
            int number,
            @Nullable String name,
            Instant at,
            @Nullable LocalDateTime dataDate,
            int iterations,
            LocalDateTime planFinish,
            LocalDateTime finishLow,
            LocalDateTime finishHalf,
            LocalDateTime finishLevel,
            LocalDateTime finishHigh,
            @Nullable LocalDateTime target,
            @Nullable Double targetChance,
            @Nullable Double planCost,
            @Nullable Double costLow,
            @Nullable Double costHalf,
            @Nullable Double costLevel,
            @Nullable Double costHigh,
            @Nullable Double budget,
            @Nullable Double budgetChance) {}
}
