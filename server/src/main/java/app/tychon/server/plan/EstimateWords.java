package app.tychon.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * A shape with its parameters as the project file writes it; of an estimate, with the basis they count in. It describes
 * the JSON only, which is read leniently, so that every problem can be told by field.
 */
@Schema(description = "A shape with its parameters, in the words of the project file")
public record EstimateWords(
        String shape,
        @Nullable Double value,
        @Nullable Double low,
        @Nullable Double likely,
        @Nullable Double high,
        @Nullable Double lowAt,
        @Nullable Double highAt,
        @Nullable Double weight,
        @Nullable Double mean,
        @Nullable Double sd,
        @Nullable Double alpha,
        @Nullable Double beta,
        @Nullable Double shapeParameter,
        @Nullable Double scale,
        @Nullable Double min,
        @Nullable Double max,
        @Nullable List<List<Double>> points,
        @Nullable Object values,
        @Nullable String basis) {}
