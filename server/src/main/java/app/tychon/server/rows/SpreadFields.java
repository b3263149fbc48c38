package app.tychon.server.rows;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Problem;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonCursor;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Optional;

/** Grade and estimate of an activity or a cost line as an edit gives them. */
final class SpreadFields {
    private SpreadFields() {}

    /** @param counts the grade that holds where there is no estimate: where there is one, certainty has to be said */
    static Optional<Estimate> estimate(
            RowEdit edit, Optional<Estimate> now, Optional<Grade> counts, Basis usual, List<Problem> problems) {
        if (Boolean.TRUE.equals(edit.certain())) {
            return counts.map(grade -> Estimate.AS_PLANNED);
        }
        if (edit.estimate() == null) {
            return now;
        }
        JsonCursor at = JsonCursor.at(edit.estimate(), "/estimate", problems);
        return at.isAbsent() ? Optional.empty() : Optional.of(EstimateJson.read(at, usual));
    }

    static Optional<String> grade(JsonNode given, Optional<String> now, List<Problem> problems) {
        if (given == null) {
            return now;
        }
        return given.isNull()
                ? Optional.empty()
                : Optional.of(JsonCursor.at(given, "/grade", problems).text());
    }
}
