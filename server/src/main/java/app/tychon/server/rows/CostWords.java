package app.tychon.server.rows;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;

/**
 * What is to change in a cost line, as people write it; what is absent stays. It describes the JSON only, which is read
 * leniently, so that every problem can be told by field. Numbers may be given as such.
 *
 * @param on       what it stands on, by code or name: an activity, a hammock, a branch, or project
 * @param amount   84,000 or 84k
 * @param due      share that is due whatever happens, 25 %
 * @param perDay   what the rest comes to a planned working day, which the plan follows from then on; empty for a plain amount
 * @param paid     evenly, start, finish, or instalments such as 30 % on 2027-05-01; 70 % at E80
 * @param category levels apart by a slash
 * @param spent    up to the data date; null or empty for not known
 * @param toGo     still to be paid; null or empty for what is not spent
 */
@Schema(description = "What is to change in a cost line, as people write it")
record CostWords(
        @Nullable String name,
        @Nullable String on,
        @Nullable String amount,
        @Nullable String due,
        @Nullable String perDay,
        @Nullable String paid,
        @Nullable String category,
        @Nullable String spent,
        @Nullable String toGo) {}
