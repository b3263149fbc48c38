package app.tychon.server.plan;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;

/**
 * An activity with its planned dates.
 *
 * @param kind task, milestone or hammock
 * @param duration as written, with its unit
 * @param totalFloatDays working days it may slip without moving the project's finish
 * @param freeFloatDays working days it may slip without moving any successor
 * @param onLongestPath whether it drives the planned finish
 * @param remaining duration still ahead by the data date, with its unit, where it is said
 * @param grade of its own; absent where that of its branch counts
 * @param inherited the grade of the branch above, that counts where there is none of its own
 * @param combineRisks add or largest, of what strikes it in one future
 * @param estimate of its own, which goes before any grade
 */
public record ActivityView(
        String id,
        String wbs,
        String name,
        String kind,
        String duration,
        String calendar,
        LocalDateTime start,
        LocalDateTime finish,
        double totalFloatDays,
        double freeFloatDays,
        boolean onLongestPath,
        LocalDateTime lateStart,
        LocalDateTime lateFinish,
        @Nullable ConstraintView constraint,
        @Nullable LocalDateTime actualStart,
        @Nullable LocalDateTime actualFinish,
        @Nullable String remaining,
        @Nullable String grade,
        @Nullable String inherited,
        @Nullable @Schema(implementation = EstimateWords.class) JsonNode estimate,
        boolean watch,
        String combineRisks,
        @Nullable String notes,
        RangeView range) {}
