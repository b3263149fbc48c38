package app.tychon.server.scenarios;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What drives two scenarios.
 *
 * @param unit days, working days of the project calendar, or money
 * @param rows the largest swing of either first
 */
record TwoDriversView(String one, String other, String unit, List<TwoDriversRow> rows) {
    /**
     * An input.
     *
     * @param mark  estimate, threat, opportunity or money
     * @param one   by how much the output differs between its highest and its lowest tenth; absent where it does not vary there
     * @param other likewise in the other scenario
     */
    record TwoDriversRow(
            String key, String id, String name, String mark, @Nullable Double one, @Nullable Double other) {}
}
