package app.tychon.core.analysis;

import app.tychon.core.model.Risk;
import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.schedule.LongestPath;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;

/**
 * From the plan to what is to be expected at a percentile, one cause added after the other, all with the same random
 * numbers: each step begins where the one before ended, so that they add up exactly.
 */
public final class Staircase {
    /** What a step adds to the one before. */
    public enum Cause {
        PLAN,
        /** The spread of the estimates on the plan's longest path, all else held at plan. */
        LONGEST_PATH,
        /** That of all other estimates: where paths meet, the later one counts. */
        PATHS_THAT_MEET,
        /** That estimates move together. */
        CORRELATION,
        THREATS,
        /** With them stands what is to be expected of the plan as it is. */
        OPPORTUNITIES,
        /** Responses that are not decided on yet, with what their actions cost. */
        RESPONSES
    }

    /** Parts of a step that are looked at one by one; what is left belongs to the overlap. */
    public static final int MOST_PARTS = 60;

    /** Where a step stands, in the unit of {@link Aim#values}. */
    public record Step(Cause cause, double value) {}

    private final CompiledPlan plan;
    private final Aim aim;
    private final RunSettings settings;
    private final double level;
    private final Set<String> longest;

    private Staircase(CompiledPlan plan, Aim aim, RunSettings settings, double level) {
        this.plan = plan;
        this.aim = aim;
        this.settings = settings;
        this.level = level;
        longest = LongestPath.to(plan.network(), target(plan.network(), aim));
    }

    /** @param level of the percentile, 0 to 1 */
    public static Staircase of(CompiledPlan plan, Aim aim, RunSettings settings, double level) {
        return new Staircase(plan, aim, settings, level);
    }

    private static int target(Network network, Aim aim) {
        boolean isActivity = network.isActivity(aim.of()) && !network.isHammock(network.position(aim.of()));
        return isActivity ? network.position(aim.of()) : CriticalTrace.PROJECT;
    }

    /**
     * @param monitor is told of steps done; may ask to stop
     * @throws CancellationException when it does
     */
    public List<Step> steps(RunMonitor monitor) {
        List<Step> steps = new ArrayList<>();
        for (Cause cause : Cause.values()) {
            double[] values = aim.values(plan.with(after(cause)), settings, monitor.quiet());
            if (monitor.stopRequested()) {
                throw new CancellationException("stopped before all steps were simulated");
            }
            steps.add(new Step(cause, Sample.of(values).percentile(level)));
            monitor.progress(steps.size(), Cause.values().length);
        }
        return steps;
    }

    /**
     * What is in a step: what each estimate or risk of it would move alone, added to what stands before it. Together they
     * need not make the step, since some strike the same futures.
     *
     * @return strongest first; nothing for a step that has no parts
     * @throws CancellationException when stopped
     */
    public List<Moves<Key>> inside(Cause cause, RunMonitor monitor) {
        Map<Key, Variation> parts = parts(cause);
        if (parts.isEmpty()) {
            return List.of();
        }
        List<Moves<Key>> moves =
                Moves.of(plan.with(before(cause)), aim, settings, parts, level, monitor, Helpers.NONE, early -> {});
        if (monitor.stopRequested()) {
            throw new CancellationException("stopped before all parts were worked out");
        }
        return moves;
    }

    private Map<Key, Variation> parts(Cause cause) {
        Map<Key, Variation> parts = new LinkedHashMap<>();
        if (cause == Cause.PLAN || cause == Cause.CORRELATION) {
            return parts;
        }
        Variation before = before(cause);
        Variation after = after(cause);
        if (cause == Cause.LONGEST_PATH || cause == Cause.PATHS_THAT_MEET) {
            added(before.held(), after.held()).forEach(key -> parts.put(key, before.releasing(key)));
        } else {
            plan.network().plan().risks().stream()
                    .filter(risk -> risk.isLive() && !before.treatsLike(after, risk.id()))
                    .filter(risk -> cause != Cause.RESPONSES || isOpenToAnswer(risk))
                    .limit(MOST_PARTS)
                    .forEach(risk -> parts.put(whole(risk.id()), before.withRisk(risk.id(), after.of(risk.id()))));
        }
        return parts;
    }

    private static boolean isOpenToAnswer(Risk risk) {
        return risk.response().isPresent() && !risk.isAnswered();
    }

    /** Those that a step lets spread, the widest first. */
    private List<Key> added(Set<Key> held, Set<Key> stillHeld) {
        Inputs inputs = Inputs.of(plan);
        return held.stream()
                .filter(key -> !stillHeld.contains(key) && (aim.isMoney() || key.kind() == Kind.ESTIMATE))
                .sorted(Comparator.comparingDouble((Key key) -> -inputs.spread(key))
                        .thenComparing(Key::id))
                .limit(MOST_PARTS)
                .toList();
    }

    private Key whole(String risk) {
        return new Key(Kind.RISK, risk, aim.isMoney() ? Input.MONEY : Input.TIME);
    }

    /** What a step is added to. Nothing but the plan is said as all estimates held, so that one of them can be let go. */
    private Variation before(Cause cause) {
        return cause == Cause.LONGEST_PATH
                ? Variation.CERTAIN.withEstimates().holdingAll(all())
                : after(Cause.values()[cause.ordinal() - 1]);
    }

    /** Everything up to a step and with it. */
    private Variation after(Cause cause) {
        Variation estimates = Variation.CERTAIN.withEstimates();
        return switch (cause) {
            case PLAN -> Variation.CERTAIN;
            case LONGEST_PATH -> estimates.holdingAll(offTheLongestPath());
            case PATHS_THAT_MEET -> estimates;
            case CORRELATION -> estimates.withCorrelations(true);
            case THREATS -> threats(estimates.withCorrelations(true));
            case OPPORTUNITIES -> Variation.CURRENT;
            case RESPONSES -> Variation.CURRENT.withRisks(RiskSetting.AFTER_RESPONSE);
        };
    }

    private Variation threats(Variation base) {
        Variation variation = base;
        for (Risk risk : plan.network().plan().risks()) {
            if (risk.kind() == Risk.Kind.THREAT) {
                variation = variation.withRisk(risk.id(), RiskSetting.CURRENT);
            }
        }
        return variation;
    }

    private Set<Key> all() {
        return Inputs.of(plan).all(Grain.FINEST).stream()
                .map(Input::key)
                .filter(key -> key.kind().isEstimated())
                .collect(Collectors.toSet());
    }

    private Set<Key> offTheLongestPath() {
        return all().stream()
                .filter(key -> key.kind() != Kind.ESTIMATE || !longest.contains(key.id()))
                .collect(Collectors.toSet());
    }
}
