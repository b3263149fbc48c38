package app.tychon.core.model;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What a scoring scheme cannot be. */
public final class SchemeRules {
    private static final int FEWEST = 2;
    private static final int MOST = 10;
    private static final double ROUNDING = 1e-9;

    private SchemeRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        plan.scheme().ifPresent(scheme -> check(scheme, found));
    }

    private static void check(Scheme scheme, Found found) {
        levels("/scheme/chance", scheme.chance(), true, found);
        if (!scheme.chance().isEmpty()
                && scheme.chance().get(scheme.chance().size() - 1).to() > 1 + ROUNDING) {
            found.add(
                    "/scheme/chance/" + (scheme.chance().size() - 1) + "/to",
                    "a chance is at most 100 %; this is "
                            + EstimateRules.text(100
                                    * scheme.chance()
                                            .get(scheme.chance().size() - 1)
                                            .to()) + " %");
        }
        if (scheme.effects().isEmpty()) {
            found.add("/scheme/effects", "a scheme needs at least one kind of effect");
        }
        Set<String> kinds = new HashSet<>();
        int most = 0;
        for (int i = 0; i < scheme.effects().size(); i++) {
            Scheme.Scale scale = scheme.effects().get(i);
            String at = "/scheme/effects/" + i;
            found.addAll(at, TextRules.name("/name", scale.name()));
            if (scale.kind().isBlank() || scale.kind().equals("chance")) {
                found.add(at + "/kind", "a kind of effect needs a word of its own");
            } else if (!kinds.add(scale.kind())) {
                found.add(at + "/kind", "there is already an effect \"" + scale.kind() + "\"");
            }
            levels(at + "/levels", scale.levels(), scale.isMeasured(), found);
            most = Math.max(most, scale.levels().size());
        }
        if (scheme.tolerated().size() != scheme.chance().size()) {
            found.add(
                    "/scheme/tolerated",
                    "what is tolerated is said for each of the "
                            + scheme.chance().size() + " levels of chance; here it is said for "
                            + scheme.tolerated().size());
        }
        for (int i = 0; i < scheme.tolerated().size(); i++) {
            int level = scheme.tolerated().get(i);
            if (level < 0 || level > most) {
                found.add("/scheme/tolerated/" + i, "a level lies between 0, for none, and " + most);
            }
        }
    }

    /** Levels meet without gaps, so that every value has one. */
    private static void levels(String pointer, List<Scheme.Level> levels, boolean measured, Found found) {
        if (levels.size() < FEWEST || levels.size() > MOST) {
            found.add(pointer, "from " + FEWEST + " to " + MOST + " levels are needed, not " + levels.size());
        }
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < levels.size(); i++) {
            Scheme.Level level = levels.get(i);
            String at = pointer + "/" + i;
            found.addAll(at, TextRules.name("/name", level.name()));
            if (!seen.add(level.name().strip().toLowerCase(Locale.ROOT))) {
                found.add(at + "/name", "there is already a level \"" + level.name() + "\"");
            }
            if (!measured) {
                continue;
            }
            if (!(level.to() > level.from()) || !(Math.abs(level.to()) <= Bounds.LARGEST_AMOUNT)) {
                found.add(
                        at + "/to",
                        "must be above where the level begins, " + EstimateRules.text(level.from()) + "; this is "
                                + EstimateRules.text(level.to()));
            }
            double begin = i == 0 ? 0 : levels.get(i - 1).to();
            if (Math.abs(level.from() - begin) > ROUNDING * Math.max(1, Math.abs(begin))) {
                found.add(
                        at + "/from",
                        (i == 0
                                        ? "the first level begins at 0"
                                        : "must begin where the one before ends, " + EstimateRules.text(begin))
                                + "; this is "
                                + EstimateRules.text(level.from()));
            }
        }
    }

    /** Whether a score has a place in a scheme. */
    static List<Problem> problems(String pointer, Score score, Scheme scheme) {
        Found found = new Found();
        if (score.chance() < 0 || score.chance() > scheme.chance().size()) {
            found.add(
                    pointer + "/chance",
                    "the scheme has levels of chance from 1 to "
                            + scheme.chance().size());
        }
        score.effects().forEach((kind, level) -> {
            List<Scheme.Level> levels =
                    scheme.scale(kind).map(Scheme.Scale::levels).orElse(List.of());
            if (levels.isEmpty()) {
                found.add(
                        pointer + "/" + kind,
                        "the scheme has no effect \"" + kind + "\"; it has "
                                + scheme.effects().stream()
                                        .map(Scheme.Scale::kind)
                                        .collect(Collectors.joining(", ")));
            } else if (level < 1 || level > levels.size()) {
                found.add(pointer + "/" + kind, "the scheme has levels from 1 to " + levels.size());
            }
        });
        return found.all();
    }
}
