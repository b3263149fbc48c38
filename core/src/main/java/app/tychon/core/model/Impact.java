package app.tychon.core.model;

import java.util.List;

/**
 * What a risk does where it occurs.
 *
 * @param on           ids of activities, WBS branches, cost lines or resources (their rate, or the time of the work that uses
 *     them), or {@link Plan#PROJECT}; where a resource shares its id with one of the others, that one is meant
 * @param distribution how much: days or hours added, money added, or a factor
 */
public record Impact(List<String> on, Effect effect, Draw draw, Estimate distribution) {
    public Impact {
        on = List.copyOf(on);
    }

    public enum Effect {
        ADD_TIME,
        SCALE_TIME,
        ADD_COST,
        SCALE_COST;

        public boolean isOnTime() {
            return this == ADD_TIME || this == SCALE_TIME;
        }

        public boolean isScale() {
            return this == SCALE_TIME || this == SCALE_COST;
        }
    }

    /** Whether all targets of an iteration share one drawn size or have one each. */
    public enum Draw {
        SHARED,
        EACH
    }
}
