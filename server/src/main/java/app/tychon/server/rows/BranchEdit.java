package app.tychon.server.rows;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;

/**
 * What is to change in one branch, or a new one; what is absent stays.
 *
 * @param id the branch; of a new one it may be empty
 * @param add true for a new branch
 * @param after where a new one goes: behind this branch, at its level; else last of its parent
 * @param parent the branch a new one lies in; absent at the top
 * @param code the outline number people read
 * @param grade of its own; null means that of the branch above
 */
record BranchEdit(
        String id,
        @Nullable Boolean add,
        @Nullable String after,
        @Nullable String parent,
        @Nullable @Schema(implementation = String.class) JsonNode name,
        @Nullable @Schema(implementation = String.class) JsonNode code,
        @Nullable @Schema(implementation = String.class) JsonNode grade) {}
