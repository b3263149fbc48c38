package app.tychon.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.Risks;
import app.tychon.core.model.Plan;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.Shape;
import app.tychon.core.scenario.ScenarioOdds.Gap;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Scenarios against answers that are known exactly. */
class ScenarioOddsTest {
    private static final RunSettings SETTINGS = new RunSettings(5000, 9, Sampling.LATIN, 2);
    private static final double DAY = 8 * 60;

    private static ScenarioOdds odds(Plan plan) {
        return ScenarioOdds.of(CompiledPlan.of(plan), SETTINGS, RunMonitor.NONE, Helpers.NONE);
    }

    private static PlanBuilder dig() {
        return new PlanBuilder().task("A", 15, new Shape.Uniform(10, 20)).cost("C", "A", 1000, 1, null);
    }

    @Test
    void whatEveryFutureHasMoreIsToldWithoutAnyError() {
        ScenarioOdds base = odds(dig().build());
        ScenarioOdds more = odds(
                dig().task("B", 3).link("A", "B").cost("D", "B", 250, 1, null).build());
        Gap gap = more.from(base, 0.8);
        assertThat(gap.duration().change()).isCloseTo(3 * DAY, within(1e-6));
        assertThat(gap.duration().error()).isCloseTo(0, within(1e-6));
        assertThat(gap.cost().change()).isCloseTo(250, within(1e-9));
        assertThat(gap.now()).isEqualTo(250);
        assertThat(gap.later()).isEqualTo(1);
        assertThat(gap.sooner()).isZero();
    }

    /** A certain 10 days and a threat of 30 % and 5 days: P80 is 15 days, without the threat 10; the mean falls by 1.5. */
    @Test
    void aRiskThatIsOffTakesItsExactShareOfFuturesBack() {
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .risk(Risks.threat("K", 0.3).addsDays(new Shape.Fixed(5), "A").risk())
                .build();
        ScenarioOdds base = odds(plan);
        ScenarioOdds off = odds(Switches.on(plan, Scenario.of("s", "Off").withRisks(Map.of("K", RiskSwitch.OFF))));
        Gap gap = off.from(base, 0.8);
        assertThat(base.outcomes().duration()).contains(10 * DAY, 15 * DAY);
        assertThat(gap.duration().change()).isEqualTo(-5 * DAY);
        // Of hypercubes of 500 a share of 30 % is met to a future in each.
        assertThat(gap.sooner()).isCloseTo(0.3, within(1.0 / 500));
        assertThat(gap.later()).isZero();
    }

    /** With finish and cost of the same draw, both are kept exactly where the tighter one is. */
    @Test
    void jointChanceIsThatOfTheTighterPromiseWhereMoneyFollowsTime() {
        Plan plan = new PlanBuilder()
                .task("A", 15, new Shape.Uniform(10, 20))
                .cost("C", "A", 1500, 0, null)
                .build();
        Scenario promise = Scenario.of("s", "Promise")
                // 16 working days from Monday 1 March: to Monday 22 March, 17:00.
                .withFinish(Optional.of(LocalDateTime.of(2027, 3, 22, 17, 0)))
                .withCost(Optional.of(1400.0));
        ScenarioOdds odds = odds(Switches.on(plan, promise));
        assertThat(odds.finishChance().orElseThrow()).isCloseTo(0.6, within(1.0 / 500));
        assertThat(odds.costChance().orElseThrow()).isCloseTo(0.4, within(1.0 / 500));
        assertThat(odds.jointChance().orElseThrow()).isCloseTo(0.4, within(1.0 / 500));
        assertThat(odds(plan).jointChance()).isEmpty();
    }

    @Test
    void differentNumbersOfFuturesAreNotCompared() {
        ScenarioOdds base = odds(dig().build());
        ScenarioOdds few = ScenarioOdds.of(
                CompiledPlan.of(dig().build()),
                new RunSettings(500, 9, Sampling.LATIN, 1),
                RunMonitor.NONE,
                Helpers.NONE);
        assertThatThrownBy(() -> few.from(base, 0.8))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("500 and 5000");
    }
}
