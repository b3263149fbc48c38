package app.tychon.exchange.changes;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.Risks;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Pruning;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.scenario.Switches;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.exchange.changes.Laid.Misfit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A scenario against the plan edited by hand. */
class ScenarioPlanTest {
    private static final Scenario PLAIN = Scenario.of("s", "Otherwise");

    /** The scenario in which a plan was edited into another one. */
    private static Scenario editing(Plan plan, Plan edited) {
        return PLAIN.withEdits(ScenarioPlan.edits(Switches.on(plan, PLAIN), edited, List.of(), List.of()));
    }

    private static Plan plan() {
        return new PlanBuilder()
                .task("A", 10, new Shape.Uniform(8, 14))
                .task("B", 5)
                .task("C", 3)
                .link("A", "B")
                .link("B", "C")
                .cost("M", "B", 500, 0.5, null)
                .risk(Risks.threat("K", 0.4).addsDays(new Shape.Fixed(4), "B").risk())
                .build();
    }

    private static Plan lasting(Plan plan, String id, double days) {
        return plan.withActivities(plan.activities().stream()
                .map(a -> a.id().equals(id) ? a.withDuration(WorkDuration.days(days)) : a)
                .toList());
    }

    @Test
    void aScenarioOfAnyEditsIsThePlanEditedByHandToTheBit() {
        RunSettings settings = new RunSettings(100, 3, Sampling.LATIN, 2);
        for (int seed = 0; seed < 15; seed++) {
            Plan plan = RandomPlans.risky(seed, 20);
            Plan edited = edited(plan, new Random(seed));
            Scenario scenario = editing(plan, edited);
            Laid laid = ScenarioPlan.of(plan, scenario);
            assertThat(laid.misfits()).isEmpty();
            assertThat(laid.plan().links()).containsExactlyInAnyOrderElementsOf(edited.links());
            assertThat(laid.plan().withLinks(List.of())).isEqualTo(edited.withLinks(List.of()));
            assertThat(Simulation.outcomes(CompiledPlan.of(laid.plan()), settings, RunMonitor.NONE)
                            .cost())
                    .isEqualTo(Simulation.outcomes(CompiledPlan.of(edited), settings, RunMonitor.NONE)
                            .cost());
        }
    }

    /** Lengthens, adds, links and takes away. */
    private static Plan edited(Plan plan, Random random) {
        Set<String> hammocks = plan.activities().stream()
                .filter(Activity::isHammock)
                .map(Activity::id)
                .collect(Collectors.toSet());
        List<Activity> tasks = plan.activities().stream()
                .filter(a -> a.kind() == ActivityKind.TASK
                        && a.progress().actualStart().isEmpty())
                // A hammock needs what opens and closes it.
                .filter(a -> plan.links().stream()
                        .noneMatch(link -> link.from().equals(a.id()) && hammocks.contains(link.to())))
                .toList();
        Activity longer = tasks.get(random.nextInt(tasks.size()));
        Activity gone = tasks.get(random.nextInt(tasks.size()));
        Plan pruned =
                Pruning.of(lasting(plan, longer.id(), 33), Set.of(gone.id())).plan();
        List<Activity> activities = new ArrayList<>(pruned.activities());
        int place = random.nextInt(activities.size() + 1);
        activities.add(
                place,
                Activity.of(
                        "NEW",
                        plan.wbs().get(0).id(),
                        "New work",
                        ActivityKind.TASK,
                        WorkDuration.days(2),
                        plan.calendars().get(0).id()));
        List<CostLine> costs = new ArrayList<>(pruned.costs());
        costs.add(CostLine.of("NEWC", "New money", "NEW", 700));
        return pruned.edit().activities(activities).costs(costs).done();
    }

    @Test
    void whatTheScenarioSaysNothingOfFollowsThePlan() {
        Scenario scenario = editing(plan(), lasting(plan(), "B", 9));
        Plan later = lasting(plan(), "A", 20).edit().costs(List.of()).done();
        Laid laid = ScenarioPlan.of(later, scenario);
        assertThat(laid.misfits()).isEmpty();
        assertThat(laid.plan()).isEqualTo(lasting(later, "B", 9));
    }

    @Test
    void whereBothChangedTheSameFieldTheScenarioKeepsItsOwnAndSaysSo() {
        Scenario scenario = editing(plan(), lasting(plan(), "B", 9));
        Plan later = lasting(plan(), "B", 7);
        Laid laid = ScenarioPlan.of(later, scenario);
        assertThat(laid.plan()).isEqualTo(lasting(plan(), "B", 9));
        assertThat(laid.misfits())
                .containsExactly(new Misfit(
                        "activities",
                        "B",
                        false,
                        "the plan has meanwhile changed duration from 5d to 7d, too; the scenario keeps its own"));
        // It is still told once the scenario was edited elsewhere.
        Plan further = lasting(laid.plan(), "C", 8);
        Scenario next =
                PLAIN.withEdits(ScenarioPlan.edits(Switches.on(later, PLAIN), further, scenario.edits(), laid.idle()));
        assertThat(ScenarioPlan.of(later, next).misfits()).isEqualTo(laid.misfits());
    }

    @Test
    void anEditOfARowThatIsGoneStaysAndIsTold() {
        Scenario scenario = editing(plan(), lasting(plan(), "B", 9));
        Plan later = Pruning.of(plan(), Set.of("B")).plan();
        Laid laid = ScenarioPlan.of(later, scenario);
        assertThat(laid.plan()).isEqualTo(later);
        assertThat(laid.misfits()).containsExactly(new Misfit("activities", "B", true, "it is no longer in the plan"));
        assertThat(ScenarioPlan.edits(Switches.on(later, PLAIN), laid.plan(), scenario.edits(), laid.idle()))
                .isEqualTo(scenario.edits());
    }

    @Test
    void aRowThatBothAddedIsThePlans() {
        Plan with = new PlanBuilder().task("A", 10).task("N", 2).build();
        Plan other = new PlanBuilder().task("A", 10).task("N", 6).build();
        Scenario scenario = editing(new PlanBuilder().task("A", 10).build(), with);
        assertThat(ScenarioPlan.of(with, scenario).misfits()).isEmpty();
        Laid laid = ScenarioPlan.of(other, scenario);
        assertThat(laid.plan()).isEqualTo(other);
        assertThat(laid.misfits())
                .containsExactly(new Misfit("activities", "N", true, "the plan has one of its own by now"));
    }

    @Test
    void aLoopThatAppearsInTheScenarioAloneLeavesOutTheLinkAndKeepsTheRest() {
        Plan turned =
                plan().edit().links(List.of(link("C", "A"), link("B", "C"))).done();
        Scenario scenario = editing(plan(), lasting(turned, "C", 8));
        assertThat(ScenarioPlan.of(plan(), scenario).misfits()).isEmpty();
        // Meanwhile the plan has got a link that closes a loop with the one of the scenario.
        List<Link> more = new ArrayList<>(plan().links());
        more.add(link("A", "C"));
        Plan later = plan().edit().links(more).done();
        Laid laid = ScenarioPlan.of(later, scenario);
        assertThat(laid.plan().activities()).isEqualTo(lasting(plan(), "C", 8).activities());
        assertThat(laid.misfits()).singleElement().satisfies(misfit -> {
            assertThat(misfit.section()).isEqualTo("links");
            assertThat(misfit.idle()).isTrue();
            assertThat(misfit.why())
                    .startsWith("the plan as it is now does not allow it: ")
                    .contains("loop");
        });
    }

    private static Link link(String from, String to) {
        return new Link(from, to, LinkType.FS, WorkDuration.ZERO);
    }

    @Test
    void workThatThePlanNowNeedsIsNotTakenAway() {
        Scenario scenario = editing(plan(), Pruning.of(plan(), Set.of("C")).plan());
        assertThat(ScenarioPlan.of(plan(), scenario).plan().activities()).hasSize(2);
        Plan later = new PlanBuilder()
                .task("A", 10)
                .task("B", 5)
                .task("C", 3)
                .cost("Z", "C", 90, 1, null)
                .build();
        Laid laid = ScenarioPlan.of(later, scenario);
        assertThat(laid.plan().activities()).hasSize(3);
        assertThat(laid.misfits()).anySatisfy(misfit -> assertThat(misfit)
                .isEqualTo(new Misfit(
                        "activities",
                        "C",
                        true,
                        "the plan as it is now does not allow it: there is no activity or WBS branch \"C\"")));
    }

    @Test
    void editsStandOnTopOfSwitches() {
        Scenario off = PLAIN.withRisks(Map.of("K", RiskSwitch.OFF));
        Plan base = Switches.on(plan(), off);
        Plan edited = lasting(base, "A", 12);
        List<ScenarioEdit> edits = ScenarioPlan.edits(base, edited, List.of(), List.of());
        assertThat(edits).singleElement().extracting(ScenarioEdit::key).isEqualTo("A");
        assertThat(ScenarioPlan.of(plan(), off.withEdits(edits)).plan()).isEqualTo(edited);
    }

    @Test
    void anEditThatCannotBeReadIsLeftOut() {
        Scenario scenario = PLAIN.withEdits(List.of(new ScenarioEdit(
                "activities",
                "B",
                Optional.of("{\"duration\":\"5d\"}"),
                Optional.of("{\"duration\":\"soon\"}"),
                Optional.empty())));
        Laid laid = ScenarioPlan.of(plan(), scenario);
        assertThat(laid.plan()).isEqualTo(plan());
        assertThat(laid.misfits())
                .singleElement()
                .extracting(Misfit::why)
                .asString()
                .startsWith("it cannot be read");
        assertThat(laid.idle()).isEqualTo(scenario.edits());
    }
}
