package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.CostStaircase.Delay;
import app.tychon.core.analysis.CostStaircase.Part;
import app.tychon.core.analysis.Staircase.Cause;
import app.tychon.core.analysis.Staircase.Step;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.Aim.Quantity;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.Sample;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** From the plan to a percentile, step by step. */
class StaircaseTest {
    private static final int N = 20_000;
    private static final double DAY = 480;
    private static final double P80 = 0.8;
    private static final RunSettings SETTINGS = new RunSettings(N, 17, Sampling.LATIN, 2);

    /** Two equal ways to the end, of which the plan's longest path is the first by a day, and a risk on what follows. */
    private static Plan plan() {
        return new PlanBuilder()
                .task("A", 51, new Shape.Uniform(51, 71))
                .task("B", 50, new Shape.Uniform(51, 71))
                .task("C", 10)
                .link("A", "C")
                .link("B", "C")
                .cost("M", "A", 1000, 0.5, new Shape.Uniform(1, 1.2))
                .risk(threat("K", 0.5)
                        .addsDays(new Shape.Fixed(20), "C")
                        .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(100), Basis.MONEY, "C")
                        .response(new Response(0, List.of(), List.of()))
                        .risk())
                .build();
    }

    private static Map<Cause, Double> steps(Staircase staircase) {
        return staircase.steps(RunMonitor.NONE).stream().collect(Collectors.toMap(Step::cause, Step::value));
    }

    @Test
    void eachStepIsWhatItsCauseMakes() {
        CompiledPlan plan = CompiledPlan.of(plan());
        Map<Cause, Double> steps = steps(Staircase.of(plan, Aim.FINISH, SETTINGS, P80));
        assertThat(steps.get(Cause.PLAN) / DAY).isCloseTo(61, within(1e-9));
        // A alone is uniform on 51 to 71; its P80 is 67. Of the later of two it is 51 + 20 √0.8.
        assertThat(steps.get(Cause.LONGEST_PATH) / DAY).isCloseTo(77, within(0.01));
        double density = 2 * Math.sqrt(P80) / 20;
        double error = 4 * Math.sqrt(P80 * (1 - P80) / N) / density;
        assertThat(steps.get(Cause.PATHS_THAT_MEET) / DAY).isCloseTo(61 + 20 * Math.sqrt(P80), within(error));
        assertThat(steps.get(Cause.CORRELATION)).isEqualTo(steps.get(Cause.PATHS_THAT_MEET));
        assertThat(steps.get(Cause.OPPORTUNITIES))
                .isEqualTo(steps.get(Cause.THREATS))
                .isEqualTo(Sample.of(
                                Simulation.run(plan, SETTINGS, RunMonitor.NONE).duration())
                        .percentile(P80));
        assertThat(steps.get(Cause.RESPONSES))
                .as("the response takes the risk away")
                .isEqualTo(steps.get(Cause.CORRELATION));
    }

    @Test
    void aStepOpensIntoWhatIsInItAndTheirSumDiffersByTheOverlapAlone() {
        Staircase staircase = Staircase.of(CompiledPlan.of(plan()), Aim.FINISH, SETTINGS, P80);
        Map<Cause, Double> steps = steps(staircase);
        assertThat(inside(staircase, Cause.LONGEST_PATH)).hasSize(1).containsKey("A");
        assertThat(inside(staircase, Cause.LONGEST_PATH).get("A"))
                .isEqualTo(steps.get(Cause.LONGEST_PATH) - steps.get(Cause.PLAN));
        assertThat(inside(staircase, Cause.PATHS_THAT_MEET).get("B"))
                .isEqualTo(steps.get(Cause.PATHS_THAT_MEET) - steps.get(Cause.LONGEST_PATH));
        assertThat(inside(staircase, Cause.THREATS).get("K"))
                .isEqualTo(steps.get(Cause.THREATS) - steps.get(Cause.CORRELATION));
        assertThat(inside(staircase, Cause.RESPONSES).get("K"))
                .isEqualTo(steps.get(Cause.RESPONSES) - steps.get(Cause.OPPORTUNITIES));
        assertThat(inside(staircase, Cause.OPPORTUNITIES)).isEmpty();
        assertThat(inside(staircase, Cause.CORRELATION)).isEmpty();
    }

    private static Map<String, Double> inside(Staircase staircase, Cause cause) {
        return staircase.inside(cause, RunMonitor.NONE).stream()
                .collect(Collectors.toMap(
                        one -> one.key().id(), one -> one.moved().change()));
    }

    @Test
    void anyTargetHasAStaircaseOfItsOwn() {
        CompiledPlan plan = CompiledPlan.of(plan());
        Map<Cause, Double> steps = steps(Staircase.of(plan, new Aim(Quantity.FINISH, "B"), SETTINGS, P80));
        assertThat(steps.get(Cause.PLAN) / DAY).isCloseTo(50, within(1e-9));
        assertThat(steps.get(Cause.LONGEST_PATH) / DAY)
                .as("B is its own longest path")
                .isCloseTo(67, within(0.01));
        assertThat(steps.get(Cause.RESPONSES)).isEqualTo(steps.get(Cause.LONGEST_PATH));
        Map<Cause, Double> money = steps(Staircase.of(plan, new Aim(Quantity.COST, "A"), SETTINGS, P80));
        assertThat(money.get(Cause.PLAN)).isCloseTo(1000, within(1e-9));
    }

    @Test
    void theCostsOwnStaircaseEndsAtTheTotalAndOpensToo() {
        CompiledPlan plan = CompiledPlan.of(plan());
        RunResult result = Simulation.run(plan, SETTINGS, RunMonitor.NONE);
        List<CostStaircase.Step> steps = CostStaircase.of(result.cost(), P80);
        assertThat(steps.get(0).value()).isEqualTo(1000);
        // The amount is uniform on 1000 to 1200 at planned time.
        assertThat(steps.get(1).value()).isCloseTo(1160, within(0.2));
        assertThat(steps.get(4).value())
                .isCloseTo(Sample.of(result.cost().totals()).percentile(P80), within(1e-9));
        List<Part<Key>> amounts = CostStaircase.amounts(plan, SETTINGS, P80, RunMonitor.NONE);
        assertThat(amounts).singleElement().satisfies(part -> {
            assertThat(part.key().id()).isEqualTo("M");
            assertThat(part.change())
                    .isCloseTo(steps.get(1).value() - steps.get(0).value(), within(1e-9));
        });
        List<Part<Delay>> delay = CostStaircase.delay(plan, result.cost(), SETTINGS, P80, RunMonitor.NONE);
        assertThat(delay.get(0).key()).isEqualTo(Delay.ESTIMATES);
        assertThat(delay.get(0).change()).isPositive();
        assertThat(delay.subList(1, 3))
                .as("nothing delays A but its own estimate")
                .allMatch(part -> part.change() == 0);
        List<Part<String>> risks = CostStaircase.risks(plan, result.cost(), SETTINGS, P80, RunMonitor.NONE);
        assertThat(risks).singleElement().satisfies(part -> assertThat(part.change())
                .isCloseTo(steps.get(3).value() - steps.get(2).value(), within(1e-9)));
    }

    @Test
    void itCanBeStopped() {
        RunMonitor atOnce = RunMonitor.until(() -> true);
        Staircase staircase = Staircase.of(CompiledPlan.of(plan()), Aim.FINISH, SETTINGS, P80);
        assertThatThrownBy(() -> staircase.steps(atOnce)).isInstanceOf(CancellationException.class);
        assertThatThrownBy(() -> staircase.inside(Cause.THREATS, atOnce)).isInstanceOf(CancellationException.class);
    }

    /** Whatever the plan, the step before the responses is the plan as it is, and the first the plan without chance. */
    @Test
    void theEndsAreThoseOfAnyPlan() {
        for (int seed = 1; seed <= 5; seed++) {
            CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(seed, 25));
            RunSettings few = new RunSettings(500, seed, Sampling.LATIN, 1);
            Map<Cause, Double> steps = steps(Staircase.of(plan, Aim.FINISH, few, P80));
            RunResult result = Simulation.run(plan, few, RunMonitor.NONE);
            assertThat(steps.get(Cause.OPPORTUNITIES))
                    .isEqualTo(Sample.of(result.duration()).percentile(P80));
            assertThat(steps.get(Cause.PLAN)).isCloseTo(result.planDuration(), within(1e-6));
        }
    }
}
