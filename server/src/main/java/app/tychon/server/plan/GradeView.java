package app.tychon.server.plan;

import app.tychon.core.model.Grade;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.exchange.SpreadJson;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;

/**
 * A grade of estimate spread.
 *
 * @param shape its factors of the planned value
 * @param range what it makes of a planned value of 100
 */
public record GradeView(
        String id,
        String name,
        String mark,
        String note,
        @Schema(implementation = EstimateWords.class) JsonNode shape,
        RangeView range) {
    private static final double PERCENT = 100;

    public static GradeView of(Grade grade) {
        ObjectNode shape = SpreadJson.write(grade).without(List.of("id", "name", "mark", "note"));
        return new GradeView(
                grade.id(),
                grade.name(),
                grade.mark(),
                grade.note(),
                shape,
                RangeView.of(
                        Optional.of(grade.estimate()),
                        EstimateRange.of(EstimateSpread.of(grade, PERCENT), EstimateRange.POINTS)));
    }
}
