package app.tychon.server.rights;

import jakarta.annotation.Nullable;
import java.util.UUID;

/**
 * That somebody may no longer do what they could: what is open in their name is closed.
 *
 * @param project the one it is about; absent where it is all
 */
public record RightsChanged(UUID account, @Nullable UUID project) {}
