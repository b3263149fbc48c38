package app.tychon.server.projects;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.time.LocalDate;

/** A project that begins blank. */
record NewProject(
        @NotBlank(message = "the project needs a name") String name,
        @NotNull(message = "the project needs its first day") LocalDate start,
        @Nullable @Pattern(regexp = "[A-Z]{3}", message = "must be a currency code of three capitals such as EUR")
                String currency) {}
