package app.tychon.server.plan;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;

/**
 * What is to change in one activity; what is absent stays.
 *
 * @param id the activity's code
 * @param duration with its unit, such as 12d
 * @param predecessors all of them as text, such as A10; A20FS+3d; empty for none
 * @param estimate in the words of the project file
 * @param certain true takes the estimate away
 */
record ActivityEdit(
        String id,
        @Nullable @Schema(implementation = String.class) JsonNode name,
        @Nullable @Schema(implementation = String.class) JsonNode duration,
        @Nullable @Schema(implementation = String.class) JsonNode predecessors,
        @Nullable @Schema(implementation = EstimateWords.class) JsonNode estimate,
        @Nullable Boolean certain) {

    /** An estimate as the project file writes it; read leniently, so that every problem can be told by field. */
    record EstimateWords(
            String shape,
            @Nullable Double value,
            @Nullable Double low,
            @Nullable Double likely,
            @Nullable Double high,
            @Nullable Double weight,
            @Nullable String basis) {}
}
