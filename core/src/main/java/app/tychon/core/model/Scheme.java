package app.tychon.core.model;

import java.util.List;
import java.util.Optional;

/**
 * How a project scores its risks.
 *
 * @param chance    levels of chance from low to high, in shares from 0 to 1
 * @param effects   a scale for each kind of effect
 * @param tolerated for each level of chance, the highest level of effect that is tolerated; 0 for none
 */
public record Scheme(List<Level> chance, List<Scale> effects, List<Integer> tolerated) {
    /** The kind that is simulated as time, in days of the project's calendar. */
    public static final String TIME = "time";
    /** The kind that is simulated as money, in the project's currency. */
    public static final String MONEY = "money";

    public Scheme {
        chance = List.copyOf(chance);
        effects = List.copyOf(effects);
        tolerated = List.copyOf(tolerated);
    }

    /** From where to where a level reaches; both are 0 in scales that nothing is measured on. */
    public record Level(String name, double from, double to) {
        public boolean holds(double value) {
            return value >= from && value < to;
        }
    }

    /**
     * A kind of effect.
     *
     * @param kind   {@link #TIME}, {@link #MONEY}, or a word of the project's own for what is scored and not simulated
     * @param name   what people call it
     * @param unit   days, money, or empty
     * @param levels from small to great
     */
    public record Scale(String kind, String name, String unit, List<Level> levels) {
        public Scale {
            levels = List.copyOf(levels);
        }

        public boolean isMeasured() {
            return kind.equals(TIME) || kind.equals(MONEY);
        }
    }

    public Optional<Scale> scale(String kind) {
        return effects.stream().filter(scale -> scale.kind().equals(kind)).findFirst();
    }

    /** The level, from 1, that a value lies in: the first or the last where it lies beyond them. */
    public static int level(List<Level> levels, double value) {
        for (int i = 0; i < levels.size() - 1; i++) {
            if (value < levels.get(i).to()) {
                return i + 1;
            }
        }
        return levels.size();
    }

    /** Whether a score lies beyond what is tolerated. */
    public boolean isBeyond(Score score) {
        return score.chance() > 0 && score.worst() > tolerated.get(score.chance() - 1);
    }
}
