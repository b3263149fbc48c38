package app.tychon.exchange.risks;

import app.tychon.core.model.Score;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/** A score as people read it: "chance 3, time 4". */
public final class ScoreText {
    private ScoreText() {}

    public static String of(Score score) {
        List<String> parts = new ArrayList<>();
        if (score.chance() > 0) {
            parts.add("chance " + score.chance());
        }
        new TreeMap<>(score.effects()).forEach((kind, level) -> parts.add(kind + " " + level));
        return String.join(", ", parts);
    }
}
