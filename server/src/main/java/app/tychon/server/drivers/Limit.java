package app.tychon.server.drivers;

import app.tychon.core.statistics.Sample;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * Beyond which value futures are late: what was typed, else what was promised, else what is kept at the project's level.
 *
 * @param value as the goal's values are
 * @param told  as it was typed or promised
 */
record Limit(double value, GoalValue told) {

    /** @throws IllegalArgumentException for an amount where a date is needed, or the other way round */
    static Limit of(Goal goal, Optional<LocalDateTime> date, Optional<Double> amount) {
        if (date.isPresent() || amount.isPresent()) {
            GoalValue typed = new GoalValue(date.orElse(null), amount.orElse(null));
            return new Limit(goal.value(typed), typed);
        }
        return goal.target().map(target -> new Limit(target, goal.promised())).orElseGet(() -> {
            double level = goal.level(Optional.empty());
            double kept = Sample.of(goal.values()).percentile(level);
            return new Limit(kept, goal.telling(level).apply(kept));
        });
    }
}
