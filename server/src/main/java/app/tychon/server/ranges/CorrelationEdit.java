package app.tychon.server.ranges;

import app.tychon.core.model.Correlation;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.SpreadJson;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Codes;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/**
 * Estimates that move together, put in place of the correlation with their id, or added.
 *
 * @param definition in the words of the project file; an empty id gets one
 */
record CorrelationEdit(JsonNode definition) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        Correlation given = SpreadJson.correlation(JsonCursor.at(definition, problems));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        List<String> ids = plan.correlations().stream().map(Correlation::id).toList();
        Correlation correlation = given.id().isBlank()
                ? new Correlation(
                        Codes.free("G", ids), given.name(), given.members(), given.coefficient(), given.matrix())
                : given;
        List<Correlation> all = new ArrayList<>(plan.correlations());
        int at = ids.indexOf(correlation.id());
        if (at < 0) {
            all.add(correlation);
        } else {
            all.set(at, correlation);
        }
        return new Outcome(
                plan.edit().correlations(all).done(), (at < 0 ? "New correlation " : "Correlation ") + given.name());
    }

    /** Pointers lead into the correlation itself. */
    @Override
    public Problem told(Plan plan, Problem problem) {
        return new Problem(problem.pointer().replaceFirst("^/correlations/\\d+", ""), problem.message());
    }
}
