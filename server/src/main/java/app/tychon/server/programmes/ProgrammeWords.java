package app.tychon.server.programmes;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/** A programme that begins. */
record ProgrammeWords(
        @NotBlank(message = "the programme needs a name") @Size(max = 500) String name,
        @NotNull @Valid List<PartWords> projects) {}
