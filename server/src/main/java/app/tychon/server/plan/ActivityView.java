package app.tychon.server.plan;

import java.time.LocalDateTime;

/**
 * An activity with its planned dates.
 *
 * @param kind task or milestone
 * @param duration as written, with its unit
 * @param totalFloatDays working days it may slip without moving the project's finish
 * @param freeFloatDays working days it may slip without moving any successor
 * @param onLongestPath whether it drives the planned finish
 */
record ActivityView(
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
        RangeView range) {}
