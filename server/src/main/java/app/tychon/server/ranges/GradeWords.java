package app.tychon.server.ranges;

import jakarta.annotation.Nullable;
import java.util.List;

/** A grade in the words of the project file: its name, and a shape whose values are factors of the planned value. */
record GradeWords(
        String id,
        String name,
        @Nullable String mark,
        @Nullable String note,
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
        @Nullable Object values) {}
