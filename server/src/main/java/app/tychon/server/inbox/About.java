package app.tychon.server.inbox;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * What somebody says something of.
 *
 * @param section as the project file calls it, such as {@code risks}; {@code ranges} for the range of a row; {@code runs}
 * @param key the object's own within it
 */
public record About(@NotNull @Size(max = 30) String section, @NotNull @Size(max = 140) String key) {}
