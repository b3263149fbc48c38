package app.tychon.core.scenario;

import app.tychon.core.model.Escalation;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Project;
import app.tychon.core.model.Risk;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Targets;
import app.tychon.core.uncertainty.Distributions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The switches of a scenario as an edit of the plan, so that whatever reads or simulates a plan reads and simulates a scenario.
 * A risk that is off is closed; one with its response has that decided on; estimates that do not vary are gone.
 */
public final class Switches {
    private static final Map<Risk.State, String> STANDS = Map.of(
            Risk.State.PROPOSED, "is only proposed",
            Risk.State.OPEN, "is open",
            Risk.State.CLOSED, "is closed",
            Risk.State.OCCURRED, "has occurred");

    private Switches() {}

    /** The plan as the switches have it, without scenarios and briefs of its own. */
    public static Plan on(Plan plan, Scenario scenario) {
        Plan switched = plan.edit()
                .project(project(plan.project(), scenario))
                .risks(unlessSame(
                        plan.risks(),
                        plan.risks().stream()
                                .map(risk -> risk(risk, scenario.of(risk)))
                                .toList()))
                .correlations(scenario.correlation() ? plan.correlations() : List.of())
                .scenarios(List.of())
                .briefs(List.of())
                .done();
        return scenario.estimates() ? switched : certain(switched);
    }

    /** So that what is not switched is still the very same list. */
    private static <T> List<T> unlessSame(List<T> before, List<T> after) {
        return before.equals(after) ? before : after;
    }

    private static Project project(Project project, Scenario scenario) {
        Targets own = project.targets();
        return project.withTargets(
                new Targets(scenario.finish().or(own::finish), scenario.cost().or(own::cost), own.confidence()));
    }

    private static Risk risk(Risk risk, RiskSwitch how) {
        return switch (how) {
            case NOW -> risk;
            case OFF -> risk.state() == Risk.State.OPEN ? risk.withState(Risk.State.CLOSED) : risk;
            case RESPONSE -> risk.isLive() ? decided(risk, true) : risk;
            case UNANSWERED -> decided(risk, false);
        };
    }

    private static Risk decided(Risk risk, boolean decided) {
        return risk.withResponse(risk.response().map(response -> response.withDecided(decided)));
    }

    private static Plan certain(Plan plan) {
        return plan.edit()
                .wbs(plan.wbs().stream()
                        .map(branch -> branch.withGrade(Optional.empty()))
                        .toList())
                .activities(plan.activities().stream()
                        .map(activity -> activity.withGrade(Optional.empty()).withEstimate(Optional.empty()))
                        .toList())
                .costs(plan.costs().stream()
                        .map(line -> line.withGrade(Optional.empty()).withEstimate(Optional.empty()))
                        .toList())
                .escalation(plan.escalation().stream().map(Switches::certain).toList())
                .correlations(List.of())
                .done();
    }

    private static Escalation certain(Escalation rate) {
        return new Escalation(
                rate.category(),
                new Shape.Fixed(Distributions.of(rate.perYear(), 1).mean()));
    }

    /**
     * What of the switches has no hold in the plan any more.
     *
     * @return sentences, by id of the risk or path of the category they are about
     */
    public static Map<String, String> misfits(Plan plan, Scenario scenario) {
        Map<String, Risk> risks = plan.risks().stream().collect(Collectors.toMap(Risk::id, risk -> risk, (a, b) -> a));
        Set<String> categories = plan.risks().stream()
                .flatMap(risk -> paths(risk.category()).stream())
                .collect(Collectors.toSet());
        Map<String, String> misfits = new TreeMap<>();
        scenario.risks().forEach((id, how) -> misfit(risks.get(id), how).ifPresent(why -> misfits.put(id, why)));
        scenario.categories().keySet().stream()
                .filter(path -> !categories.contains(path))
                .forEach(path -> misfits.put(path, "there is no risk of this category any more"));
        return misfits;
    }

    private static Optional<String> misfit(Risk risk, RiskSwitch how) {
        if (risk == null) {
            return Optional.of("it is no longer in the register");
        }
        if (how == RiskSwitch.RESPONSE && risk.response().isEmpty()) {
            return Optional.of("it has no response any more");
        }
        return idle(risk, how)
                ? Optional.of("it " + STANDS.get(risk.state()) + ", so the switch does nothing")
                : Optional.empty();
    }

    /** What has occurred cannot be switched off, what takes no part has nothing to be switched. */
    private static boolean idle(Risk risk, RiskSwitch how) {
        return how == RiskSwitch.OFF && risk.state() != Risk.State.OPEN || how == RiskSwitch.RESPONSE && !risk.isLive();
    }

    /** A category and those above it. */
    private static List<String> paths(String category) {
        List<String> paths = new ArrayList<>();
        for (int slash = category.indexOf('/'); slash >= 0; slash = category.indexOf('/', slash + 1)) {
            paths.add(category.substring(0, slash));
        }
        paths.add(category);
        return paths;
    }
}
