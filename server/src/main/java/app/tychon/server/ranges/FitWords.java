package app.tychon.server.ranges;

import app.tychon.server.plan.EstimateWords;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * A range fitted to past work, given to rows or kept as a grade.
 *
 * @param estimate of a grade in factors
 * @param rows codes of activities and cost lines that get the range
 */
record FitWords(PastWork evidence, EstimateWords estimate, @Nullable List<String> rows, @Nullable NewGrade grade) {

    /**
     * Evidence in the words of the project file.
     *
     * @param observations pairs of planned and actual values, or the actual values alone
     */
    record PastWork(@Nullable String id, String name, List<List<Double>> observations, @Nullable List<String> on) {}

    record NewGrade(String name, @Nullable String mark, @Nullable String note) {}
}
