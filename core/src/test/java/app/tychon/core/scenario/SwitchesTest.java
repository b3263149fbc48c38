package app.tychon.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.Risks;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Switches are edits of the plan; they must do what varying the simulation of the plan itself does. */
class SwitchesTest {
    private static final RunSettings SETTINGS = new RunSettings(150, 5, Sampling.LATIN, 2);
    private static final Map<RiskSwitch, RiskSetting> SAME = Map.of(
            RiskSwitch.OFF, RiskSetting.OFF,
            RiskSwitch.NOW, RiskSetting.CURRENT,
            RiskSwitch.RESPONSE, RiskSetting.AFTER_RESPONSE,
            RiskSwitch.UNANSWERED, RiskSetting.UNANSWERED);

    @Test
    void eachSwitchIsTheVariationOfThePlanInEveryFuture() {
        int compared = 0;
        for (int seed = 0; seed < 3; seed++) {
            Plan plan = plan(seed);
            CompiledPlan compiled = CompiledPlan.of(plan);
            for (Risk risk : plan.risks()) {
                for (RiskSwitch how : RiskSwitch.values()) {
                    assertSame(plan, scenario().withRisks(Map.of(risk.id(), how)), compiled, only(risk, how));
                    compared++;
                }
            }
            for (RiskSwitch how : RiskSwitch.values()) {
                Variation all = Variation.CURRENT;
                for (Risk risk : plan.risks()) {
                    all = all.withRisk(risk.id(), setting(risk, how));
                }
                assertSame(plan, scenario().withOthers(how), compiled, all);
            }
            assertSame(plan, scenario().withCorrelation(false), compiled, Variation.CURRENT.withCorrelations(false));
            assertSame(
                    plan,
                    scenario().withEstimates(false),
                    compiled,
                    new Variation(false, true, RiskSetting.CURRENT, Map.of(), Set.of(), Map.of()));
        }
        assertThat(compared).isGreaterThan(40);
    }

    private static Variation only(Risk risk, RiskSwitch how) {
        return Variation.CURRENT.withRisk(risk.id(), setting(risk, how));
    }

    /** What has occurred cannot be switched off. */
    private static RiskSetting setting(Risk risk, RiskSwitch how) {
        return how == RiskSwitch.OFF && risk.state() == Risk.State.OCCURRED ? RiskSetting.CURRENT : SAME.get(how);
    }

    private static Scenario scenario() {
        return Scenario.of("s", "What if");
    }

    private static Plan plan(int seed) {
        Plan plan = RandomPlans.risky(seed, 20);
        return plan.edit()
                .correlations(List.of(Correlation.group("R1", "Crew", List.of("A5", "A6", "A7"), 0.7)))
                .done();
    }

    private static void assertSame(Plan plan, Scenario scenario, CompiledPlan compiled, Variation variation) {
        Outcomes switched =
                Simulation.outcomes(CompiledPlan.of(Switches.on(plan, scenario)), SETTINGS, RunMonitor.NONE);
        Outcomes varied = Simulation.outcomes(compiled.with(variation), SETTINGS, RunMonitor.NONE);
        assertThat(switched.finish()).as("finish of " + scenario).isEqualTo(varied.finish());
        // Actions of a response that is tried are added to the money of the plan after others than those decided on.
        assertThat(switched.cost())
                .as("cost of " + scenario)
                .usingComparatorWithPrecision(1e-6)
                .containsExactly(varied.cost());
    }

    @Test
    void theNearestWordCounts() {
        Risk deep = Risks.threat("K1", 0.5).risk().withCategory("Ground/Water/Springs");
        Risk other = Risks.threat("K2", 0.5).risk().withCategory("Ground");
        Risk free = Risks.threat("K3", 0.5).risk();
        Scenario scenario = scenario()
                .withOthers(RiskSwitch.UNANSWERED)
                .withCategories(Map.of("Ground", RiskSwitch.OFF, "Ground/Water", RiskSwitch.RESPONSE))
                .withRisks(Map.of("K2", RiskSwitch.NOW));
        assertThat(scenario.of(deep)).isEqualTo(RiskSwitch.RESPONSE);
        assertThat(scenario.of(other)).isEqualTo(RiskSwitch.NOW);
        assertThat(scenario.of(other.withId("K9"))).isEqualTo(RiskSwitch.OFF);
        assertThat(scenario.of(free)).isEqualTo(RiskSwitch.UNANSWERED);
    }

    @Test
    void targetsAreThoseOfTheScenarioWhereItHasSome() {
        Plan plan = new PlanBuilder().task("A", 5).build();
        LocalDateTime date = LocalDateTime.of(2027, 5, 3, 17, 0);
        Plan switched =
                Switches.on(plan, scenario().withFinish(Optional.of(date)).withCost(Optional.of(70.0)));
        assertThat(switched.project().targets().finish()).contains(date);
        assertThat(switched.project().targets().cost()).contains(70.0);
        assertThat(switched.activities()).isSameAs(plan.activities());
        assertThat(switched.risks()).isSameAs(plan.risks());
    }

    @Test
    void switchesWithoutHoldAreTold() {
        Plan plan = new PlanBuilder()
                .task("A", 5)
                .risk(Risks.threat("K1", 0.5).addsDays(new Shape.Fixed(1), "A").risk())
                .risk(Risks.threat("K2", 0.5)
                        .state(Risk.State.CLOSED)
                        .response(new Response(0.1, List.of(), List.of()))
                        .risk())
                .build();
        Scenario scenario = scenario()
                .withRisks(Map.of("K1", RiskSwitch.RESPONSE, "K2", RiskSwitch.OFF, "K9", RiskSwitch.OFF))
                .withCategories(Map.of("Weather", RiskSwitch.OFF));
        assertThat(Switches.misfits(plan, scenario))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        "K1", "it has no response any more",
                        "K2", "it is closed, so the switch does nothing",
                        "K9", "it is no longer in the register",
                        "Weather", "there is no risk of this category any more"));
        assertThat(Switches.on(plan, scenario).risks()).isEqualTo(plan.risks());
    }
}
