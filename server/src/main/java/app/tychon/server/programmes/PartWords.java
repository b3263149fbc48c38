package app.tychon.server.programmes;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A project that is taken into a programme.
 *
 * @param code what is to stand before the ids of its rows; absent for the first letters of its name
 * @param worth of its money in that of the programme, where they differ
 * @param worthOn the day of that
 */
record PartWords(@NotNull UUID project, @Nullable String code, @Nullable Double worth, @Nullable LocalDate worthOn) {
    @AssertTrue(message = "a rate has a day")
    boolean isWorthDated() {
        return worth == null || worthOn != null;
    }
}
