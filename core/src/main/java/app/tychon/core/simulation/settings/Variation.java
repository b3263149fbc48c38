package app.tychon.core.simulation.settings;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * What of a plan takes part in a simulation. All variations of a plan share their random numbers, so that what differs
 * between two of them is what was varied and no noise.
 *
 * @param estimates    whether estimates spread, or stand at their planned values
 * @param correlations whether estimates move together
 * @param usual        what holds for the risks that {@code risks} does not name
 * @param risks        settings of single risks, by id
 * @param held         inputs held at their planned values (the size of an impact: at its mean)
 */
public record Variation(
        boolean estimates,
        boolean correlations,
        RiskSetting usual,
        Map<String, RiskSetting> risks,
        Set<Input.Key> held) {

    /** Whether and how a risk takes part. */
    public enum RiskSetting {
        OFF,
        CURRENT,
        /** With the probability and impacts of its response, whose actions cost money; current where it has none. */
        AFTER_RESPONSE
    }

    /** Everything as the plan has it, without responses. */
    public static final Variation CURRENT = new Variation(true, true, RiskSetting.CURRENT, Map.of(), Set.of());

    /** Nothing but the plan. */
    public static final Variation CERTAIN = new Variation(false, false, RiskSetting.OFF, Map.of(), Set.of());

    public Variation {
        risks = Map.copyOf(risks);
        held = Set.copyOf(held);
    }

    public Variation withEstimates() {
        return new Variation(true, correlations, usual, risks, held);
    }

    public Variation withCorrelations(boolean on) {
        return new Variation(estimates, on, usual, risks, held);
    }

    /** One setting for all risks. */
    public Variation withRisks(RiskSetting setting) {
        return new Variation(estimates, correlations, setting, Map.of(), held);
    }

    public Variation withRisk(String risk, RiskSetting setting) {
        Map<String, RiskSetting> others = new HashMap<>(risks);
        others.put(risk, setting);
        return new Variation(estimates, correlations, usual, others, held);
    }

    /** With an input held at its planned value; a risk that is held does not occur. */
    public Variation holding(Input.Key input) {
        if (input.kind() == Input.Kind.OCCURRENCE) {
            return withRisk(input.id(), RiskSetting.OFF);
        }
        Set<Input.Key> others = new HashSet<>(held);
        others.add(input);
        return new Variation(estimates, correlations, usual, risks, others);
    }

    public RiskSetting of(String risk) {
        return risks.getOrDefault(risk, usual);
    }

    public boolean holds(Input.Kind kind, String id) {
        return held.contains(new Input.Key(kind, id, 0));
    }
}
