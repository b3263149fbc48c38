package app.tychon.server.risks;

import app.tychon.core.model.Scheme;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * A scoring scheme, in the words of the project file.
 *
 * @param tolerated for each level of chance, the highest level of effect that is tolerated; 0 for none
 */
record SchemeView(List<LevelView> chance, List<ScaleView> effects, List<Integer> tolerated) {

    /** @param from absent, as {@code to}, in scales that nothing is measured on */
    record LevelView(String name, @Nullable Double from, @Nullable Double to) {}

    /**
     * A kind of effect.
     *
     * @param kind time, money, or a word of the project's own
     * @param unit days, money, or empty
     */
    record ScaleView(String kind, String name, String unit, List<LevelView> levels) {}

    static SchemeView of(Scheme scheme) {
        return new SchemeView(
                levels(scheme.chance(), true),
                scheme.effects().stream()
                        .map(scale -> new ScaleView(
                                scale.kind(), scale.name(), scale.unit(), levels(scale.levels(), scale.isMeasured())))
                        .toList(),
                scheme.tolerated());
    }

    private static List<LevelView> levels(List<Scheme.Level> levels, boolean measured) {
        return levels.stream()
                .map(level -> new LevelView(level.name(), measured ? level.from() : null, measured ? level.to() : null))
                .toList();
    }
}
