package app.tychon.core.model;

import java.util.Map;

/**
 * A place in the grid of a {@link Scheme}, by level, counted from 1.
 *
 * @param chance  level of chance; 0 where that is not scored
 * @param effects level of each kind of effect that is scored
 */
public record Score(int chance, Map<String, Integer> effects) {
    public Score {
        effects = Map.copyOf(effects);
    }

    /** The highest level of any effect; 0 where none is scored. */
    public int worst() {
        return effects.values().stream().mapToInt(Integer::intValue).max().orElse(0);
    }

    /** Level of chance times the worst level of effect. */
    public int product() {
        return chance * worst();
    }
}
