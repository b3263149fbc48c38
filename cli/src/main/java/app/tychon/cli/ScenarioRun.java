package app.tychon.cli;

import app.tychon.cli.Complaints.BadInputException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.ScenarioOdds.Gap;
import app.tychon.exchange.changes.Laid.Misfit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * A scenario that was simulated beside the plan, by the same random numbers.
 *
 * @param gap     from the plan at its level of confidence
 * @param misfits what of the scenario does not fit the plan
 */
record ScenarioRun(Scenario scenario, Report report, Gap gap, List<Misfit> misfits) {
    private static final String ALL = "all";

    /**
     * Scenarios of a plan by id or by name, or all that are not put away.
     *
     * @throws BadInputException for each name that none has
     */
    static List<Scenario> wanted(Plan plan, List<String> names) throws BadInputException {
        Set<Scenario> wanted = new LinkedHashSet<>();
        List<String> unknown = new ArrayList<>();
        for (String name : names) {
            List<Scenario> found = plan.scenarios().stream()
                    .filter(one -> name.equals(ALL)
                            ? !one.putAway()
                            : one.id().equals(name) || one.name().equals(name))
                    .toList();
            if (found.isEmpty()) {
                unknown.add("there is no scenario \"" + name + "\"; " + known(plan));
            }
            wanted.addAll(found);
        }
        if (!unknown.isEmpty()) {
            throw new BadInputException(unknown);
        }
        return List.copyOf(wanted);
    }

    private static String known(Plan plan) {
        return plan.scenarios().isEmpty()
                ? "the file has none"
                : "there are "
                        + String.join(
                                ", ",
                                plan.scenarios().stream()
                                        .map(one -> one.id() + " (" + one.name() + ")")
                                        .toList());
    }
}
