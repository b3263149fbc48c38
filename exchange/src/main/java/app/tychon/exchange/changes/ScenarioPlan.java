package app.tychon.exchange.changes;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.core.scenario.Switches;
import app.tychon.core.schedule.Network;
import app.tychon.exchange.changes.Laid.Misfit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The plan that a scenario stands for: its switches, then its edits, each where it still fits. Edits are laid on together; where
 * the whole cannot be, they are parted until those are found that make it so, and those are left out and told.
 */
public final class ScenarioPlan {
    private static final List<String> ORDER = Kept.ALL.stream().map(Kept::name).toList();

    private final List<Misfit> misfits = new ArrayList<>();
    private final List<ScenarioEdit> idle = new ArrayList<>();

    private ScenarioPlan() {}

    public static Laid of(Plan plan, Scenario scenario) {
        return new ScenarioPlan().lay(plan, scenario);
    }

    private Laid lay(Plan plan, Scenario scenario) {
        Switches.misfits(plan, scenario).forEach((key, why) -> misfits.add(new Misfit("risks", key, true, why)));
        Plan laid = lay(Switches.on(plan, scenario), inOrder(scenario.edits()));
        return new Laid(laid, List.copyOf(misfits), List.copyOf(idle));
    }

    /** What comes and changes first, section by section; then what goes, so that what refers to it has gone before. */
    private static List<ScenarioEdit> inOrder(List<ScenarioEdit> edits) {
        Comparator<ScenarioEdit> bySection = Comparator.comparingInt(edit -> ORDER.indexOf(edit.section()));
        return Stream.concat(
                        edits.stream().filter(e -> e.after().isPresent()).sorted(bySection),
                        edits.stream().filter(e -> e.after().isEmpty()).sorted(bySection.reversed()))
                .toList();
    }

    private Plan lay(Plan plan, List<ScenarioEdit> edits) {
        if (edits.isEmpty()) {
            return plan;
        }
        Attempt attempt = new Attempt(plan, edits);
        Optional<String> fault = fault(attempt.plan);
        if (fault.isEmpty()) {
            misfits.addAll(attempt.misfits);
            idle.addAll(attempt.idle);
            return attempt.plan;
        }
        if (edits.size() == 1) {
            ScenarioEdit refused = edits.get(0);
            misfits.add(new Misfit(
                    refused.section(), refused.key(), true, "the plan as it is now does not allow it: " + fault.get()));
            idle.add(refused);
            return plan;
        }
        int half = edits.size() / 2;
        return lay(lay(plan, edits.subList(0, half)), edits.subList(half, edits.size()));
    }

    private static Optional<String> fault(Plan plan) {
        try {
            Network.of(plan);
            return Optional.empty();
        } catch (InvalidPlanException e) {
            return Optional.of(e.problems().get(0).message());
        }
    }

    /** Edits laid on a plan together, whatever comes of it. */
    private static final class Attempt {
        private final List<Misfit> misfits = new ArrayList<>();
        private final List<ScenarioEdit> idle = new ArrayList<>();
        private Plan plan;

        Attempt(Plan before, List<ScenarioEdit> edits) {
            plan = before;
            // Groups in the order given: a section comes twice where something of it both comes and goes.
            edits.stream()
                    .collect(Collectors.groupingBy(
                            edit -> List.of(
                                    edit.section(),
                                    Boolean.toString(edit.after().isPresent())),
                            LinkedHashMap::new,
                            Collectors.toList()))
                    .values()
                    .forEach(this::lay);
        }

        private void lay(List<ScenarioEdit> edits) {
            String section = edits.get(0).section();
            Kept.ALL.stream()
                    .filter(kept -> kept.name().equals(section))
                    .forEach(kept -> plan = new SectionEdits<>(kept, misfits, idle).on(plan, edits));
        }
    }

    /**
     * How a plan was edited in a scenario.
     *
     * @param base    the plan with the scenario's switches
     * @param edited  that as it was edited
     * @param earlier edits that the scenario had before, of which those that fit are in what was edited
     * @param idle    those of them that did not
     */
    public static List<ScenarioEdit> edits(
            Plan base, Plan edited, List<ScenarioEdit> earlier, List<ScenarioEdit> idle) {
        List<ScenarioEdit> edits = new ArrayList<>(EditsBetween.of(base, edited, earlier));
        idle.stream().filter(old -> edits.stream().noneMatch(old::isOfSame)).forEach(edits::add);
        return edits;
    }
}
