package app.tychon.server.standings;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * Where one quantity is heading, in few numbers.
 *
 * @param <V> LocalDateTime or Double
 * @param plan what is planned
 * @param chance of the target or less, 0 to 1; absent without a target
 * @param level what is kept at the project's level of confidence
 * @param tenths the values at 5, 10, 20, … 90, 95 %
 */
record Reach<V>(V plan, @Nullable V target, @Nullable Double chance, V level, List<V> tenths) {}
