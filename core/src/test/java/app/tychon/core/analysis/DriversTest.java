package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.Aim.Quantity;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What moves a date or a cost, as finely or coarsely as one likes, and whatever one aims at. */
class DriversTest {
    private static final int N = 10_000;
    private static final double DAY = 480;
    private static final RunSettings SETTINGS = new RunSettings(N, 7, Sampling.LATIN, 2);
    private static final Grain WHOLE = new Grain(false, false, false);

    private static List<Driver> drivers(Plan plan, Aim aim, Grain grain, double minutePrice) {
        CompiledPlan compiled = CompiledPlan.of(plan);
        double[] output = aim.values(compiled, SETTINGS, RunMonitor.NONE);
        return Sensitivity.drivers(Inputs.of(compiled, minutePrice), grain, SETTINGS, List.of(output))
                .get(0);
    }

    private static Driver of(List<Driver> drivers, String id) {
        return drivers.stream()
                .filter(driver -> driver.input().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aRiskTakenWholeIsWhatItAddsSoThatADayIsADay() {
        Plan plan = new PlanBuilder()
                .task("A", 20)
                .risk(threat("K", 0.4).addsDays(new Shape.Uniform(5, 15), "A").risk())
                .build();
        List<Driver> drivers = drivers(plan, Aim.FINISH, WHOLE, 0);
        assertThat(drivers).singleElement().satisfies(driver -> {
            assertThat(driver.input().key()).isEqualTo(new Key(Kind.RISK, "K", Input.TIME));
            assertThat(driver.regression().orElseThrow().perUnit()).isCloseTo(1, within(1e-9));
            assertThat(driver.regression().orElseThrow().contribution()).isCloseTo(1, within(1e-9));
            // Its highest tenth are the hardest quarter of its strikes, 12.5 to 15 days; its lowest are 0; the mean is
            // 4.
            assertThat(driver.swing().orElseThrow().high() / DAY).isCloseTo(13.75 - 4, within(0.2));
            assertThat(driver.swing().orElseThrow().low() / DAY).isCloseTo(-4, within(0.1));
            assertThat(driver.swing().orElseThrow().width() / DAY).isCloseTo(13.75, within(0.1));
        });
    }

    @Test
    void moneyOfARiskIncludesWhatItsTimeCosts() {
        Plan plan = new PlanBuilder()
                .task("A", 20)
                .cost("M", "A", 20_000, 0, new Shape.Fixed(1))
                .risk(threat("K", 0.5)
                        .addsDays(new Shape.Uniform(1, 9), "A")
                        .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Uniform(0, 500), Basis.MONEY, "A")
                        .risk())
                .build();
        Driver driver = drivers(plan, Aim.COST, new Grain(false, false, true), 1000 / DAY)
                .get(0);
        assertThat(driver.input().key()).isEqualTo(new Key(Kind.RISK, "K", Input.MONEY));
        assertThat(driver.regression().orElseThrow().perUnit())
                .as("a day costs 1000")
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void aScalingRiskAndARecurringOneCountAsTheTimeTheyTake() {
        Plan plan = new PlanBuilder()
                .task("A", 20)
                .risk(threat("K", 0.5)
                        .impact(Effect.SCALE_TIME, Draw.EACH, new Shape.Uniform(1, 1.5), Basis.FACTOR, "A")
                        .risk())
                .build();
        assertThat(drivers(plan, Aim.FINISH, WHOLE, 0)
                        .get(0)
                        .regression()
                        .orElseThrow()
                        .perUnit())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void estimatesThatMoveTogetherCanCountAsOne() {
        Plan plan = new PlanBuilder()
                .task("A", 20, new Shape.Uniform(10, 30))
                .task("B", 20, new Shape.Uniform(10, 30))
                .task("C", 20, new Shape.Uniform(10, 30))
                .link("A", "B")
                .link("B", "C")
                .correlation(Correlation.group("G", "Crew", List.of("A", "B"), 0.7))
                .build();
        List<Driver> drivers = drivers(plan, Aim.FINISH, new Grain(false, true, false), 0);
        assertThat(drivers).extracting(driver -> driver.input().id()).containsExactly("G", "C");
        // Var(A + B) = 2 (1 + r) Var(A), where a rank correlation of 0.7 is r = 0.7 between uniforms.
        double share = 2 * 1.7 / (2 * 1.7 + 1);
        assertThat(of(drivers, "G").regression().orElseThrow().contribution()).isCloseTo(share, within(0.02));
        CompiledPlan compiled = CompiledPlan.of(plan);
        assertThat(Inputs.of(compiled).without(of(drivers, "G").input()).held())
                .extracting(Key::id)
                .containsExactlyInAnyOrder("A", "B");
    }

    @Test
    void theErrorOfASwingHoldsTheTruthAsOftenAsItSays() {
        Plan plan = new PlanBuilder()
                .task("A", 20, new Shape.Uniform(10, 30))
                .task("B", 20, new Shape.Uniform(0, 40))
                .link("A", "B")
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        int seeds = 300;
        int held = 0;
        for (int seed = 0; seed < seeds; seed++) {
            RunSettings few = new RunSettings(1000, seed, Sampling.PLAIN, 1);
            double[] output = Aim.FINISH.values(compiled, few, RunMonitor.NONE);
            Driver.Swing swing = of(Sensitivity.drivers(Inputs.of(compiled), few, output), "A")
                    .swing()
                    .orElseThrow();
            held += Math.abs(swing.width() / DAY - 18) <= swing.error() / DAY ? 1 : 0;
        }
        assertThat((double) held / seeds).isGreaterThan(0.95 - 4 * Math.sqrt(0.95 * 0.05 / seeds));
    }

    @Test
    void ranksThatChanceCouldSwapAreToldAsEqual() {
        RankRange[] ranks = RankRange.of(new double[] {-30, 12, 11, 2}, new double[] {1, 1, 1, 1});
        assertThat(ranks)
                .containsExactly(new RankRange(1, 1), new RankRange(2, 3), new RankRange(2, 3), new RankRange(4, 4));
    }

    @Test
    void removalInASeriesIsTheRisksExactEffect() {
        Plan plan = new PlanBuilder()
                .task("A", 50, new Shape.Uniform(50, 90))
                .milestone("M")
                .task("B", 50)
                .link("A", "M")
                .link("M", "B")
                .risk(threat("K", 1).addsDays(new Shape.Fixed(10), "A").risk())
                .risk(threat("L", 1).addsDays(new Shape.Fixed(3), "B").risk())
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        Map<String, Variation> without = new LinkedHashMap<>();
        Inputs.of(compiled)
                .all(WHOLE)
                .forEach(input -> without.put(input.id(), Inputs.of(compiled).without(input)));
        for (Aim aim : List.of(Aim.FINISH, new Aim(Quantity.FINISH, "M"))) {
            List<List<Moves<String>>> told = new ArrayList<>();
            List<Moves<String>> moves =
                    Moves.of(compiled, aim, SETTINGS, without, 0.8, RunMonitor.NONE, Helpers.NONE, told::add);
            assertThat(moves).extracting(Moves::key).containsExactly("A", "K", "L");
            assertThat(moves.get(1).moved().change() / DAY).isCloseTo(-10, within(1e-9));
            assertThat(moves.get(2).moved().change() / DAY).isCloseTo(aim.isProject() ? -3 : 0, within(1e-9));
            assertThat(told.get(told.size() - 1)).isEqualTo(moves);
            assertThat(Moves.of(
                            compiled,
                            aim,
                            SETTINGS,
                            without,
                            0.8,
                            RunMonitor.until(() -> true),
                            Helpers.NONE,
                            early -> {}))
                    .isEmpty();
        }
    }

    @Test
    void whateverIsAimedAtHasItsValues() {
        Plan plan = new PlanBuilder()
                .branch("S", "W")
                .task("A", "S", "std", WorkDuration.days(10), new Shape.Uniform(10, 20))
                .task("B", 5)
                .link("A", "B")
                .cost("M", "A", 100, 1, new Shape.Uniform(1, 2))
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        double[] branch = new Aim(Quantity.FINISH, "S").values(compiled, SETTINGS, RunMonitor.NONE);
        double[] start = new Aim(Quantity.START, "B").values(compiled, SETTINGS, RunMonitor.NONE);
        double[] finish = Aim.FINISH.values(compiled, SETTINGS, RunMonitor.NONE);
        for (int i = 0; i < N; i++) {
            assertThat(start[i]).isCloseTo(branch[i], within(1e-6));
            assertThat(finish[i]).isCloseTo(branch[i] + 5 * DAY, within(1e-6));
        }
        assertThat(Sample.of(new Aim(Quantity.COST, "A").values(compiled, SETTINGS, RunMonitor.NONE))
                        .mean())
                .isCloseTo(150, within(0.1));
        assertThatThrownBy(() -> new Aim(Quantity.COST, "B").values(compiled, SETTINGS, RunMonitor.NONE))
                .hasMessageContaining("no money stands on \"B\"");
    }

    @Test
    void aCloudOfIndependentQuantitiesHasNoShapeAndALineHasItsSlope() {
        Random random = new Random(5);
        double[] x = random.doubles(N).toArray();
        double[] y = random.doubles(N).toArray();
        assertThat(Scatter.of(x, y).hasShape()).isFalse();
        double[] line = IntStream.range(0, N).mapToDouble(i -> 3 - 0.7 * x[i]).toArray();
        Scatter straight = Scatter.of(x, line);
        assertThat(straight.hasShape()).isTrue();
        assertThat(straight.slope().orElseThrow()).isCloseTo(-0.7, within(1e-12));
        assertThat(straight.pearson().orElseThrow()).isCloseTo(-1, within(1e-12));
        assertThat(straight.spearman().orElseThrow()).isCloseTo(-1, within(1e-12));
        Scatter still = Scatter.of(new double[N], y);
        assertThat(still.slope()).isEmpty();
        assertThat(still.hasShape()).isFalse();
        assertThat(Scatter.of(new double[] {1, 2}, new double[] {1, 2}).hasShape())
                .as("two futures")
                .isFalse();
    }

    @Test
    void theCountsOfAShapelessCloudAreRightAsOftenAsTheySay() {
        Random random = new Random(11);
        int clouds = 400;
        long shaped = IntStream.range(0, clouds)
                .filter(i -> Scatter.of(
                                random.doubles(200).toArray(),
                                random.doubles(200).toArray())
                        .hasShape())
                .count();
        assertThat((double) shaped / clouds).isLessThan(0.05 + 4 * Math.sqrt(0.05 * 0.95 / clouds));
    }

    @Test
    void whatIsInAnActivityAddsUp() {
        Plan plan = new PlanBuilder()
                .task("A", 10, new Shape.Uniform(10, 20))
                .task("B", 10, new Shape.Fixed(12))
                .link("A", "B")
                .cost("M", "B", 1000, 0, new Shape.Fixed(1))
                .risk(threat("K", 1).addsDays(new Shape.Fixed(3), "B").risk())
                .risk(threat("L", 0.5).addsDays(new Shape.Fixed(4), "B").risk())
                .build();
        InsideActivity inside = InsideActivity.of(CompiledPlan.of(plan), SETTINGS, "B", 0.8, RunMonitor.NONE);
        InsideActivity.Side time = inside.time();
        assertThat(time.own() / DAY).isCloseTo(2, within(1e-9));
        assertThat(time.risks()).extracting(InsideActivity.RiskPart::risk).containsExactly("L", "K");
        assertThat(time.risks().get(0).value() / DAY).isCloseTo(4, within(1e-9));
        assertThat(time.risks().get(1).value() / DAY).isCloseTo(3, within(1e-9));
        assertThat(time.overlap() / DAY).isCloseTo(0, within(1e-9));
        assertAddsUp(time);
        assertThat(inside.money()).singleElement().satisfies(money -> {
            assertThat(money.total()).as("900 for nine days more of ten").isCloseTo(900, within(1e-6));
            assertAddsUp(money);
        });
    }

    /** Where there is next to nothing to go by, nothing is said that cannot be known, and nothing fails. */
    @Test
    void oneFutureTwoFuturesAndNoUncertaintyAreAnswered() {
        Plan certain = new PlanBuilder().task("A", 10).build();
        Plan uncertain = new PlanBuilder()
                .task("A", 10, new Shape.Uniform(5, 15))
                .risk(threat("K", 0.5).addsDays(new Shape.Fixed(3), "A").risk())
                .build();
        for (int futures : new int[] {1, 2}) {
            RunSettings few = new RunSettings(futures, 1, Sampling.LATIN, 1);
            for (Plan plan : List.of(certain, uncertain)) {
                CompiledPlan compiled = CompiledPlan.of(plan);
                double[] output = Aim.FINISH.values(compiled, few, RunMonitor.NONE);
                List<Driver> drivers = Sensitivity.drivers(Inputs.of(compiled), WHOLE, few, List.of(output))
                        .get(0);
                assertThat(drivers).hasSize(plan == certain ? 0 : 2);
                drivers.forEach(driver -> driver.swing()
                        .ifPresent(swing -> assertThat(swing.width()).isFinite()));
                assertThat(Staircase.of(compiled, Aim.FINISH, few, 0.8).steps(RunMonitor.NONE))
                        .hasSize(Staircase.Cause.values().length);
                assertThat(Scatter.of(output, output).hasShape()).isFalse();
            }
        }
    }

    private static void assertAddsUp(InsideActivity.Side side) {
        double risks = side.risks().stream()
                .mapToDouble(InsideActivity.RiskPart::value)
                .sum();
        assertThat(side.own() + risks + side.waiting() + side.overlap()).isCloseTo(side.total(), within(1e-6));
    }

    @Test
    void whatIsInAnyActivityAddsUp() {
        Plan plan = RandomPlans.risky(3, 20);
        CompiledPlan compiled = CompiledPlan.of(plan);
        RunSettings few = new RunSettings(500, 1, Sampling.LATIN, 1);
        plan.activities().stream()
                .filter(activity -> DayGain.canShorten(compiled.network(), activity))
                .forEach(activity -> {
                    InsideActivity inside = InsideActivity.of(compiled, few, activity.id(), 0.8, RunMonitor.NONE);
                    assertAddsUp(inside.time());
                    inside.money().forEach(DriversTest::assertAddsUp);
                });
    }
}
