package app.tychon.server.rows;

import app.tychon.server.plan.EstimateWords;
import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;

/**
 * What is to change in one row, or a new activity; what is absent stays, null takes away what can be absent. Of a branch
 * name, code and grade can change, of a cost line its money, grade and estimate; with {@code add}, money makes a new cost line.
 *
 * @param id the row's code; of a new activity it may be empty, then it gets one
 * @param add true for a new activity
 * @param after where a new one goes: behind this activity, or first in this branch; else at the end of its branch
 * @param code another code for it
 * @param duration with its unit, such as 12d; zero makes a task a milestone
 * @param predecessors all of them as text, such as A10; A20FS+3d; empty for none
 * @param actualStart a date, or a date and time; of a date the calendar's first working hour is meant
 * @param actualFinish a date, or a date and time; of a date the calendar's last working hour is meant
 * @param grade of its own; null means that of the branch above
 * @param estimate in the words of the project file
 * @param certain true takes the estimate away
 * @param combineRisks add or largest, of what strikes it in one future
 * @param crew all resources at work on an activity as text, such as crew 0.5; optics 2; empty for none
 * @param cost the money of a cost line
 * @param watch whether runs keep all its values and wait for its finish to be steady
 */
public record RowEdit(
        String id,
        @Nullable Boolean add,
        @Nullable String after,
        @Nullable @Schema(implementation = String.class) JsonNode code,
        @Nullable @Schema(implementation = String.class) JsonNode wbs,
        @Nullable @Schema(implementation = String.class) JsonNode name,
        @Nullable @Schema(implementation = String.class) JsonNode kind,
        @Nullable @Schema(implementation = String.class) JsonNode duration,
        @Nullable @Schema(implementation = String.class) JsonNode predecessors,
        @Nullable @Schema(implementation = String.class) JsonNode calendar,
        @Nullable @Schema(implementation = ConstraintWords.class) JsonNode constraint,
        @Nullable @Schema(implementation = String.class) JsonNode actualStart,
        @Nullable @Schema(implementation = String.class) JsonNode actualFinish,
        @Nullable @Schema(implementation = String.class) JsonNode remaining,
        @Nullable @Schema(implementation = String.class) JsonNode grade,
        @Nullable @Schema(implementation = String.class) JsonNode notes,
        @Nullable @Schema(implementation = EstimateWords.class) JsonNode estimate,
        @Nullable Boolean certain,
        @Nullable Boolean watch,
        @Nullable @Schema(implementation = String.class) JsonNode combineRisks,
        @Nullable @Schema(implementation = String.class) JsonNode crew,
        @Nullable @Schema(implementation = CostWords.class) JsonNode cost) {

    /** A constraint as the project file writes it; of a date alone the calendar's working hour is meant. */
    public record ConstraintWords(String type, String date) {}

    boolean isNew() {
        return Boolean.TRUE.equals(add);
    }

    /** What of it can change in a branch. */
    BranchEdit ofBranch() {
        return new BranchEdit(id, null, null, null, name, code, grade);
    }

    /** Grade and estimate of a row; each stays where it is null and goes where it is JSON's null. */
    public static RowEdit spread(String id, @Nullable JsonNode grade, @Nullable JsonNode estimate) {
        return new RowEdit(
                id, null, null, null, null, null, null, null, null, null, null, null, null, null, grade, null, estimate,
                null, null, null, null, null);
    }

    /** The money of a cost line. @param add whether it is a new one */
    public static RowEdit cost(
            String id, boolean add, JsonNode cost, @Nullable JsonNode grade, @Nullable JsonNode estimate) {
        return new RowEdit(
                id, add, null, null, null, null, null, null, null, null, null, null, null, null, grade, null, estimate,
                null, null, null, null, cost);
    }

    /** Whether it is about a cost line that is not there yet. */
    boolean isNewCost() {
        return isNew() && cost != null;
    }
}
