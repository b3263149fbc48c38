package app.tychon.server.risks;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scheme;
import app.tychon.core.model.Score;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.SchemeJson;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** The scoring scheme, put in place of what was there. */
record SchemeEdit(JsonNode definition) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        Scheme scheme = SchemeJson.read(JsonCursor.at(definition, problems));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        List<String> gone = new ArrayList<>();
        List<Risk> risks = plan.risks().stream()
                .map(risk -> {
                    Risk fitted = risk.withEntry(risk.entry()
                            .withScore(risk.entry().score().flatMap(score -> fitting(score, scheme)))
                            .withScoreAfter(risk.entry().scoreAfter().flatMap(score -> fitting(score, scheme))));
                    if (!fitted.equals(risk)) {
                        gone.add("a score of risk " + risk.id());
                    }
                    return fitted;
                })
                .toList();
        return new Outcome(
                plan.edit().risks(risks).scheme(Optional.of(scheme)).done(),
                plan.scheme().isPresent() ? "Scoring scheme" : "Scoring scheme begun",
                gone);
    }

    /** What of a score has a place in a scheme. */
    private static Optional<Score> fitting(Score score, Scheme scheme) {
        Map<String, Integer> effects = score.effects().entrySet().stream()
                .filter(effect -> scheme.scale(effect.getKey())
                        .filter(scale -> effect.getValue() <= scale.levels().size())
                        .isPresent())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        int chance = score.chance() <= scheme.chance().size() ? score.chance() : 0;
        return chance == 0 && effects.isEmpty() ? Optional.empty() : Optional.of(new Score(chance, effects));
    }

    /** Pointers lead into the scheme. */
    @Override
    public Problem told(Plan plan, Problem problem) {
        return new Problem(problem.pointer().replaceFirst("^/scheme", ""), problem.message());
    }
}
