package app.tychon.server.plan;

import app.tychon.core.model.Evidence;
import java.util.List;

/**
 * Past work that ranges were fitted to.
 *
 * @param count how many observations there are
 * @param ratios whether they are ratios of actual to planned
 * @param on codes of the activities, cost lines and grades whose range was fitted to it
 */
public record EvidenceView(String id, String name, int count, boolean ratios, List<String> on) {
    public static EvidenceView of(Evidence evidence) {
        return new EvidenceView(
                evidence.id(), evidence.name(), evidence.observations().size(), evidence.isOfRatios(), evidence.on());
    }
}
