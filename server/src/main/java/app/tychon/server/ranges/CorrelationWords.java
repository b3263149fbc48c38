package app.tychon.server.ranges;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * A correlation in the words of the project file, with either one coefficient or a matrix.
 *
 * @param members codes of activities and cost lines
 * @param matrix lower triangle with the diagonal
 */
record CorrelationWords(
        String id,
        @Nullable String name,
        List<String> members,
        @Nullable Double coefficient,
        @Nullable List<List<Double>> matrix) {}
