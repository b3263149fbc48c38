package app.tychon.server.drivers;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;

/**
 * A value of what is asked about.
 *
 * @param date   of a start or a finish
 * @param amount days of a duration, or money
 */
record GoalValue(@Nullable LocalDateTime date, @Nullable Double amount) {}
