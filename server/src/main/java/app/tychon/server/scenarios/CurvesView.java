package app.tychon.server.scenarios;

import java.util.List;

/**
 * One quantity in several scenarios.
 *
 * @param <V>    LocalDateTime or Double
 * @param curves in the order asked for
 */
record CurvesView<V>(List<Curve<V>> curves) {
    /**
     * @param id     of the scenario, empty for the plan itself
     * @param values with a chance of 0, 0.5, 1, … 100 %
     */
    record Curve<V>(String id, int iterations, List<V> values) {}
}
