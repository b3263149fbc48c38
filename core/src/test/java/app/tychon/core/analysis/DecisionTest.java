package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.JointSample.Quadrants;
import app.tychon.core.analysis.RollUp.By;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.DrivingPath;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.core.statistics.Sample;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the analyses say that lead to a decision. */
class DecisionTest {
    private static final int N = 20_000;
    private static final double DAY = 480;
    private static final RunSettings SETTINGS = new RunSettings(N, 17, Sampling.LATIN, 2);

    private static RunResult run(CompiledPlan plan) {
        return Simulation.run(plan, SETTINGS, RunMonitor.NONE);
    }

    @Test
    void quadrantsOfIndependentUniformsAreProducts() {
        Random random = new Random(3);
        double[] x = random.doubles(N).toArray();
        double[] y = random.doubles(N).toArray();
        Quadrants shares = JointSample.of(x, y).quadrants(0.3, 0.6);
        double error = 4 * 0.5 / Math.sqrt(N);
        assertThat(shares.both()).isCloseTo(0.18, within(error));
        assertThat(shares.onlyX()).isCloseTo(0.12, within(error));
        assertThat(shares.onlyY()).isCloseTo(0.42, within(error));
        assertThat(shares.neither()).isCloseTo(0.28, within(error));
        assertThat(shares.both() + shares.onlyX() + shares.onlyY() + shares.neither())
                .isCloseTo(1, within(1e-12));
    }

    @Test
    void pairsOfLimitsHoldTogetherWithTheChanceAskedFor() {
        RunResult result = run(CompiledPlan.of(RandomPlans.risky(4, 30)));
        JointSample joint = JointSample.of(result.finish(), result.cost().totals());
        List<JointSample.Pair> pairs = joint.pairs(0.8, 12);
        assertThat(pairs).hasSize(12);
        for (JointSample.Pair pair : pairs) {
            assertThat(joint.chance(pair.x(), pair.y())).isBetween(0.8, 0.8 + 2.0 / N);
        }
        assertThat(pairs.get(0).y()).isGreaterThanOrEqualTo(pairs.get(11).y());
        assertThatThrownBy(() -> JointSample.of(new double[2], new double[3])).hasMessageContaining("2 and 3");
    }

    @Test
    void drivingPathsAreCountedWithTheirShares() {
        RunResult result = run(CompiledPlan.of(new PlanBuilder()
                .task("S", 5)
                .task("P", 10, new Shape.Uniform(0, 20))
                .task("Q", 10, new Shape.Uniform(0, 20))
                .milestone("E")
                .link("S", "P")
                .link("S", "Q")
                .link("P", "E")
                .link("Q", "E")
                .build()));
        assertThat(result.paths()).hasSize(2);
        double error = 4 * 0.5 / Math.sqrt(N);
        for (DrivingPath path : result.paths()) {
            assertThat(path.activities()).hasSize(3).startsWith("S").endsWith("E");
            assertThat(path.share()).isCloseTo(0.5, within(error));
            // The larger of two uniforms on (0, 20) has mean 40/3.
            assertThat(path.meanDuration() / DAY).isCloseTo(5 + 40 / 3.0, within(0.2));
        }
    }

    @Test
    void criticalityCanBeTowardsAnotherMilestone() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 10, new Shape.Uniform(5, 15))
                .task("B", 5)
                .milestone("M")
                .task("C", 40)
                .link("A", "M")
                .link("B", "M")
                .link("B", "C")
                .build());
        assertThat(run(plan).activities())
                .extracting(ActivityResult::criticality)
                .containsExactly(0.0, 1.0, 0.0, 1.0);
        RunResult towards = run(plan.towards("M"));
        assertThat(towards.activities()).extracting(ActivityResult::criticality).containsExactly(1.0, 0.0, 1.0, 0.0);
        assertThat(towards.paths().get(0).activities()).containsExactly("A", "M");
        assertThat(towards.activities().get(0).cruciality()).as("M ends with A").isCloseTo(1, within(1e-9));
        assertThat(run(plan).activities().get(0).cruciality())
                .as("the project does not")
                .isZero();
        assertThatThrownBy(() -> plan.towards("Z")).hasMessageContaining("no milestone or activity \"Z\"");
    }

    @Test
    void crucialityAndTheSensitivityIndexFollowTheirDefinitions() {
        RunResult result = run(CompiledPlan.of(new PlanBuilder()
                .task("A", 10, new Shape.Uniform(0, 30))
                .task("B", 10, new Shape.Uniform(0, 40))
                .link("A", "B")
                .build()));
        ActivityResult a = result.activities().get(0);
        // Correlation of a term with an independent sum: its share of the standard deviation.
        assertThat(a.cruciality()).isCloseTo(0.6, within(4 / Math.sqrt(N)));
        double project = Sample.of(result.duration()).standardDeviation();
        assertThat(ScheduleSensitivity.index(a, project)).isCloseTo(0.6, within(0.01));
        assertThat(ScheduleSensitivity.index(a, 0)).isZero();
    }

    @Test
    void measuresRollUpToWhateverInputsBelongTo() {
        Plan plan = new PlanBuilder()
                .branch("B", "W")
                .branch("BB", "B")
                .task("A", "BB", "std", WorkDuration.days(10), new Shape.Uniform(5, 20))
                .task("C", 10, new Shape.Uniform(5, 20))
                .link("A", "C")
                .cost("M", "BB", 100, 1, new Shape.Uniform(0.5, 2))
                .resource("crew", 100, Resource.Per.DAY)
                .assign("A", "crew", 1)
                .risk(threat("K", 0.5).addsDays(new Shape.Uniform(1, 9), "C").risk())
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        List<Driver> drivers =
                Sensitivity.drivers(Inputs.of(compiled), SETTINGS, run(compiled).duration());
        RollUp rollUp = RollUp.of(plan);
        double whole = drivers.stream().mapToDouble(DecisionTest::contribution).sum();
        for (By by : By.values()) {
            assertThat(sums(rollUp, drivers, by, 1).stream()
                            .mapToDouble(RollUp.Sum::value)
                            .sum())
                    .as("by %s", by)
                    .isCloseTo(whole, within(1e-12));
        }
        assertThat(sums(rollUp, drivers, By.BRANCH, 2))
                .extracting(RollUp.Sum::group)
                .containsExactlyInAnyOrder("B", "W");
        assertThat(sums(rollUp, drivers, By.BRANCH, 1))
                .extracting(RollUp.Sum::group)
                .containsExactly("W");
        assertThat(sums(rollUp, drivers, By.CATEGORY, 2))
                .extracting(RollUp.Sum::group)
                .containsExactlyInAnyOrder("", "Site/Weather");
        assertThat(sums(rollUp, drivers, By.CATEGORY, 1))
                .extracting(RollUp.Sum::group)
                .contains("Site");
        assertThat(sums(rollUp, drivers, By.RESOURCE, 1))
                .filteredOn(sum -> sum.group().equals("crew"))
                .singleElement()
                .satisfies(sum -> assertThat(sum.rows())
                        .extracting(driver -> driver.input().id())
                        .containsExactly("A"));
        assertThat(sums(rollUp, drivers, By.KIND, 1))
                .extracting(RollUp.Sum::group)
                .containsExactlyInAnyOrder("ESTIMATE", "COST", "THREAT");
    }

    private static List<RollUp.Sum<Driver>> sums(RollUp rollUp, List<Driver> drivers, By by, int level) {
        return rollUp.sums(drivers, Driver::input, DecisionTest::contribution, by, level);
    }

    @Test
    void aRunStopsWhenItIsSteadyAtTheSameIterationOnAnyNumberOfThreads() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.oneCalendar(3, 20));
        Steadiness enough = new Steadiness(0.04, 0.8);
        RunResult one = steady(plan, enough, 1);
        RunResult three = steady(plan, enough, 3);
        assertThat(one.iterations()).isBetween(2000, 19_000).isEqualTo(three.iterations());
        assertThat(one.finish()).isEqualTo(three.finish());
        assertThat(width(enough, one, one.iterations())).isLessThanOrEqualTo(0.04);
        assertThat(width(enough, one, one.iterations() - 1000)).isGreaterThan(0.04);
        assertThatThrownBy(() -> new Steadiness(0, 0.8)).hasMessageContaining("tolerance");
        assertThatThrownBy(() -> new Steadiness(0.1, 1)).hasMessageContaining("level");
    }

    private static double width(Steadiness enough, RunResult run, int iterations) {
        return Math.max(
                Steadiness.width(enough.level(), enough.certainty(), run.duration(), iterations),
                Steadiness.width(enough.level(), enough.certainty(), run.cost().totals(), iterations));
    }

    private static RunResult steady(CompiledPlan plan, Steadiness enough, int threads) {
        RunSettings settings = new RunSettings(N, 2, Sampling.LATIN, threads, Optional.of(enough));
        return Simulation.run(plan, settings, RunMonitor.NONE);
    }

    @Test
    void aRisksOccurrenceSwingsByWhatItCosts() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 50)
                .risk(threat("K", 0.1).addsDays(new Shape.Fixed(7), "A").risk())
                .build());
        List<Driver> drivers =
                Sensitivity.drivers(Inputs.of(plan), SETTINGS, run(plan).duration());
        assertThat(drivers).singleElement().satisfies(driver -> {
            assertThat(driver.input().kind()).isEqualTo(Input.Kind.OCCURRENCE);
            assertThat(driver.swing().orElseThrow().width() / DAY).isCloseTo(7, within(1e-9));
            assertThat(contribution(driver)).isCloseTo(1, within(1e-9));
            assertThat(driver.pearson().orElseThrow()).isCloseTo(1, within(1e-9));
        });
    }

    private static double contribution(Driver driver) {
        return driver.regression().orElseThrow().contribution();
    }
}
