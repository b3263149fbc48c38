package app.tychon.core.simulation.settings;

import app.tychon.core.model.Risk;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What of a plan takes part in a simulation. All variations of a plan share their random numbers, so that what differs
 * between two of them is what was varied and no noise.
 *
 * @param estimates    whether estimates spread, or stand at their planned values
 * @param correlations whether estimates move together
 * @param usual        what holds for the risks that {@code risks} does not name
 * @param risks        settings of single risks, by id
 * @param held         inputs held at their planned values (the size of an impact: at its mean)
 * @param shortened    activities whose work takes less, by id
 */
public record Variation(
        boolean estimates,
        boolean correlations,
        RiskSetting usual,
        Map<String, RiskSetting> risks,
        Set<Input.Key> held,
        Map<String, Shortening> shortened) {

    /** Whether and how a risk takes part. */
    public enum RiskSetting {
        OFF,
        /** As the plan has it: after its response where that is decided on, else before. */
        CURRENT,
        /** With the probability and impacts of its response, whose actions cost money; current where it has none. */
        AFTER_RESPONSE,
        /** As if nothing were done about it, even where its response is decided on. */
        UNANSWERED
    }

    /**
     * What still has to be worked of an activity is multiplied, then less by some minutes, and never below zero.
     *
     * @param minutes of the activity's own calendar
     */
    public record Shortening(double factor, double minutes) {
        public double of(double duration) {
            return Math.max(0, duration * factor - minutes);
        }
    }

    /** Everything as the plan has it, with the responses that are decided on. */
    public static final Variation CURRENT =
            new Variation(true, true, RiskSetting.CURRENT, Map.of(), Set.of(), Map.of());

    /** Nothing but the plan. */
    public static final Variation CERTAIN = new Variation(false, false, RiskSetting.OFF, Map.of(), Set.of(), Map.of());

    public Variation {
        risks = Map.copyOf(risks);
        held = Set.copyOf(held);
        shortened = Map.copyOf(shortened);
    }

    public Variation withEstimates() {
        return new Variation(true, correlations, usual, risks, held, shortened);
    }

    public Variation withCorrelations(boolean on) {
        return new Variation(estimates, on, usual, risks, held, shortened);
    }

    /** One setting for all risks. */
    public Variation withRisks(RiskSetting setting) {
        return new Variation(estimates, correlations, setting, Map.of(), held, shortened);
    }

    public Variation withRisk(String risk, RiskSetting setting) {
        Map<String, RiskSetting> others = new HashMap<>(risks);
        others.put(risk, setting);
        return new Variation(estimates, correlations, usual, others, held, shortened);
    }

    /** With an input held at its planned value; a risk that is held does not occur. */
    public Variation holding(Input.Key input) {
        if (input.kind() == Input.Kind.OCCURRENCE || input.kind() == Input.Kind.RISK) {
            return withRisk(input.id(), RiskSetting.OFF);
        }
        return holdingAll(Set.of(input));
    }

    /** With the sizes of estimates or impacts held at their planned values. */
    public Variation holdingAll(Set<Input.Key> inputs) {
        Set<Input.Key> others = new HashSet<>(held);
        others.addAll(inputs);
        return new Variation(estimates, correlations, usual, risks, others, shortened);
    }

    /** With an input that was held at its planned value free again. */
    public Variation releasing(Input.Key input) {
        Set<Input.Key> others = new HashSet<>(held);
        others.remove(input);
        return new Variation(estimates, correlations, usual, risks, others, shortened);
    }

    /** With less work in an activity. */
    public Variation shortening(String activity, Shortening shortening) {
        Map<String, Shortening> others = new HashMap<>(shortened);
        others.put(activity, shortening);
        return new Variation(estimates, correlations, usual, risks, held, others);
    }

    public RiskSetting of(String risk) {
        return risks.getOrDefault(risk, usual);
    }

    /** Whether a risk takes part as it is after its response. */
    public boolean answers(Risk risk) {
        return switch (of(risk.id())) {
            case AFTER_RESPONSE -> risk.response().isPresent();
            case CURRENT -> risk.isAnswered();
            case OFF, UNANSWERED -> false;
        };
    }

    public boolean holds(Input.Kind kind, String id) {
        return held.contains(new Input.Key(kind, id, 0));
    }

    /** Whether estimates spread and move together as in another. */
    public boolean drawsLike(Variation other) {
        return estimates == other.estimates && correlations == other.correlations;
    }

    /** Ids of activities and cost lines whose estimates it treats otherwise than one that draws like it. */
    public Set<String> estimatesUnlike(Variation other) {
        Set<String> ids = new HashSet<>();
        addUnlike(ids, held, other.held);
        addUnlike(ids, other.held, held);
        Stream.concat(shortened.keySet().stream(), other.shortened.keySet().stream())
                .filter(id -> !Objects.equals(shortened.get(id), other.shortened.get(id)))
                .forEach(ids::add);
        return ids;
    }

    private static void addUnlike(Set<String> ids, Set<Input.Key> here, Set<Input.Key> there) {
        here.stream()
                .filter(key -> key.kind() != Input.Kind.IMPACT && !there.contains(key))
                .forEach(key -> ids.add(key.id()));
    }

    /** Whether a risk takes part as it does in another. */
    public boolean treatsLike(Variation other, String risk) {
        return of(risk) == other.of(risk)
                && (held.equals(other.held) || impactsHeld(risk).equals(other.impactsHeld(risk)));
    }

    private Set<Input.Key> impactsHeld(String risk) {
        return held.stream()
                .filter(key -> key.kind() == Input.Kind.IMPACT && key.id().equals(risk))
                .collect(Collectors.toSet());
    }
}
