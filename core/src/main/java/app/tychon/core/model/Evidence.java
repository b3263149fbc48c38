package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What similar work really took, from which estimates or grades were fitted; kept as their reason.
 *
 * @param on ids of the activities, cost lines and grades whose range was fitted to it
 */
@RecordBuilder
public record Evidence(String id, String name, List<Observation> observations, List<String> on)
        implements EvidenceBuilder.With {
    public Evidence {
        observations = List.copyOf(observations);
        on = List.copyOf(on);
    }

    /**
     * One piece of past work.
     *
     * @param planned what it was planned at; absent where only the actual value is known
     * @param actual what it took, in the unit of {@code planned}: days, or money
     */
    public record Observation(OptionalDouble planned, double actual) {}

    /** Whether its values are ratios of actual to planned; else they are the actual values themselves. */
    public boolean isOfRatios() {
        return observations.stream().allMatch(o -> o.planned().isPresent());
    }

    /** The values that a shape is fitted to. */
    public double[] values() {
        boolean ratios = isOfRatios();
        return observations.stream()
                .mapToDouble(o -> ratios ? o.actual() / o.planned().getAsDouble() : o.actual())
                .toArray();
    }
}
