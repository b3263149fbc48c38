package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.Ranks;
import java.util.List;
import org.junit.jupiter.api.Test;

class SensitivityTest {
    private static final RunSettings SETTINGS = new RunSettings(10_000, 7, Sampling.LATIN, 2);

    private static RunResult run(CompiledPlan plan) {
        return Simulation.run(plan, SETTINGS, RunMonitor.NONE);
    }

    /** In a chain of uniforms the finish is their sum: shares of variance are as the squares of the widths. */
    @Test
    void sharesOfVarianceOfASumAreThoseOfItsTerms() {
        Plan chain = new PlanBuilder()
                .task("wide", 20, new Shape.Uniform(10, 30))
                .task("narrow", 20, new Shape.Uniform(15, 25))
                .task("certain", 5)
                .link("wide", "narrow")
                .link("narrow", "certain")
                .cost("C", "wide", 100, 1, new Shape.Uniform(0.5, 2))
                .build();
        CompiledPlan plan = CompiledPlan.of(chain);
        List<Driver> drivers =
                Sensitivity.drivers(Inputs.of(plan), SETTINGS, run(plan).duration());

        assertThat(drivers).extracting(d -> d.input().id()).containsExactly("wide", "narrow", "C");
        Driver wide = drivers.get(0);
        Driver narrow = drivers.get(1);
        assertThat(contribution(wide)).isCloseTo(0.8, within(0.02));
        assertThat(contribution(narrow)).isCloseTo(0.2, within(0.02));
        assertThat(drivers.stream().mapToDouble(SensitivityTest::contribution).sum())
                .isCloseTo(1, within(1e-9));
        assertThat(wide.regression().orElseThrow().perUnit())
                .as("minutes per minute")
                .isCloseTo(1, within(1e-9));
        // The means of the outer tenths of a uniform lie nine tenths of its width apart.
        assertThat(wide.swing().orElseThrow().width() / 480).isCloseTo(18, within(0.3));
        assertThat(Math.abs(drivers.get(2).spearman().orElseThrow())).isLessThan(5 / Math.sqrt(SETTINGS.iterations()));
    }

    @Test
    void inputsAreRecomputedAsTheyWereDrawn() {
        CompiledPlan plan = CompiledPlan.of(
                new PlanBuilder().task("A", 20, new Shape.Pert(10, 20, 50, 4)).build());
        Inputs inputs = Inputs.of(plan);
        assertThat(inputs.sample(inputs.all().get(0), SETTINGS, 10_000))
                .containsExactly(run(plan).duration(), within(1e-6));
    }

    @Test
    void moreIterationsThanTellMoreAreNotLookedAt() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 20, new Shape.Uniform(10, 30))
                .task("B", 20, new Shape.Uniform(15, 25))
                .link("A", "B")
                .build());
        RunSettings many = new RunSettings(Sensitivity.MOST_ITERATIONS + 20_000, 17, Sampling.LATIN, 2);
        RunSettings enough = new RunSettings(Sensitivity.MOST_ITERATIONS, 17, Sampling.LATIN, 2);
        Inputs inputs = Inputs.of(plan);
        assertThat(Sensitivity.drivers(
                        inputs,
                        many,
                        Simulation.outcomes(plan, many, RunMonitor.NONE).duration()))
                .isEqualTo(Sensitivity.drivers(
                        inputs,
                        enough,
                        Simulation.outcomes(plan, enough, RunMonitor.NONE).duration()));
    }

    @Test
    void aCertainOutputHasNoDrivers() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("long", 100)
                .task("short", 3, new Shape.Uniform(1, 5))
                .build());
        List<Driver> drivers =
                Sensitivity.drivers(Inputs.of(plan), SETTINGS, run(plan).duration());
        assertThat(drivers).singleElement().satisfies(d -> {
            assertThat(d.spearman()).isEmpty();
            assertThat(d.regression()).isEmpty();
            assertThat(d.swing().orElseThrow().width()).isZero();
        });
    }

    @Test
    void equalValuesShareTheirRanks() {
        assertThat(Ranks.of(new double[] {3, 1, 3, 2})).containsExactly(3.5, 1, 3.5, 2);
        assertThat(Ranks.spearman(new double[] {1, 2, 3}, new double[] {1, 10, 100}))
                .isEqualTo(1);
        assertThat(Ranks.pearson(new double[] {1, 1}, new double[] {1, 2})).isZero();
    }

    private static double contribution(Driver driver) {
        return driver.regression().orElseThrow().contribution();
    }

    private static List<Driver> driversOf(PlanBuilder plan, RunSettings settings) {
        CompiledPlan compiled = CompiledPlan.of(plan.build());
        RunResult result = Simulation.run(compiled, settings, RunMonitor.NONE);
        return Sensitivity.drivers(Inputs.of(compiled), settings, result.duration());
    }

    private static Driver of(List<Driver> drivers, String id, Input.Kind kind) {
        return drivers.stream()
                .filter(d -> d.input().id().equals(id) && d.input().kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    /** The finish is the duration, so its mean in a tenth is the mean duration there. */
    @Test
    void equalValuesShareTheTenth() {
        Shape rarely = new Shape.Discrete(List.of(new Shape.Point(10, 0.95), new Shape.Point(30, 0.05)));
        Shape evenly = new Shape.Discrete(List.of(new Shape.Point(10, 0.5), new Shape.Point(30, 0.5)));
        // Full hypercubes draw the values in exactly these shares.
        assertThat(swingDays(rarely)).as("half of the highest tenth").isCloseTo(10, within(1e-9));
        assertThat(swingDays(evenly)).isCloseTo(20, within(1e-9));
        Shape threeParts = new Shape.Discrete(
                List.of(new Shape.Point(10, 0.08), new Shape.Point(20, 0.84), new Shape.Point(40, 0.08)));
        assertThat(swingDays(threeParts)).isCloseTo(0.8 * 30, within(1e-9));
    }

    private static double swingDays(Shape shape) {
        List<Driver> drivers = driversOf(new PlanBuilder().task("A", 10, shape), SETTINGS);
        return drivers.get(0).swing().orElseThrow().width() / 480;
    }

    @Test
    void tiesOfOneInputDoNotHideAnother() {
        Shape twoValues = new Shape.Discrete(List.of(new Shape.Point(0, 0.6), new Shape.Point(5, 0.4)));
        List<Driver> drivers = driversOf(
                new PlanBuilder()
                        .task("A", 3, twoValues)
                        .task("B", 20, new Shape.Uniform(10, 30))
                        .link("A", "B"),
                SETTINGS);
        // B is independent of A, so what it adds to a mean over hundreds of iterations has that error.
        assertThat(of(drivers, "A", Input.Kind.ESTIMATE).swing().orElseThrow().width() / 480)
                .isCloseTo(5, within(4 * 20 / Math.sqrt(12) * Math.sqrt(1 / 6000.0 + 1 / 4000.0)));
        assertThat(drivers.stream().mapToDouble(SensitivityTest::contribution).sum())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void aRiskThatNeverStruckHasNoFigureAndSpoilsNone() {
        List<Driver> drivers = driversOf(
                new PlanBuilder()
                        .task("A", 20, new Shape.Uniform(10, 30))
                        .risk(threat("K", 1e-9)
                                .addsDays(new Shape.Uniform(1, 5), "A")
                                .risk()),
                new RunSettings(1000, 7, Sampling.LATIN, 2));
        Driver never = of(drivers, "K", Input.Kind.OCCURRENCE);
        assertThat(never.swing()).isEmpty();
        assertThat(never.spearman()).isEmpty();
        assertThat(never.regression()).isEmpty();
        assertThat(drivers.get(drivers.size() - 1)).as("comes last").isEqualTo(never);
        assertThat(contribution(of(drivers, "A", Input.Kind.ESTIMATE))).isCloseTo(1, within(1e-9));
    }

    @Test
    void aRareRiskIsMeasuredByTheFewTimesItStruck() {
        RunSettings settings = new RunSettings(1000, 7, Sampling.PLAIN, 2);
        List<Driver> drivers = driversOf(
                new PlanBuilder()
                        .task("A", 20)
                        .risk(threat("K", 0.003)
                                .addsDays(new Shape.Fixed(7), "A")
                                .risk()),
                settings);
        Driver rare = of(drivers, "K", Input.Kind.OCCURRENCE);
        assertThat(rare.swing().orElseThrow().width() / 480).isCloseTo(7, within(1e-9));
        assertThat(contribution(rare)).isCloseTo(1, within(1e-9));
    }

    /** A risk that struck a few times: the mean where it did rests on those, and of one alone nothing is known. */
    @Test
    void theErrorOfASwingHoldsTheTruthAlsoWhereARiskStruckAFewTimes() {
        int held = 0;
        int told = 0;
        for (int seed = 0; seed < 300; seed++) {
            List<Driver> drivers = driversOf(
                    new PlanBuilder()
                            .task("A", 20, new Shape.Uniform(10, 30))
                            .risk(threat("K", 0.004)
                                    .addsDays(new Shape.Fixed(7), "A")
                                    .risk()),
                    new RunSettings(1000, seed, Sampling.PLAIN, 1));
            Driver.Swing swing =
                    of(drivers, "K", Input.Kind.OCCURRENCE).swing().orElse(new Driver.Swing(0, 0, Double.NaN));
            if (!Double.isNaN(swing.error())) {
                told++;
                held += Math.abs(swing.width() / 480 - 7) <= swing.error() / 480 ? 1 : 0;
            }
        }
        assertThat(told).isBetween(240, 299);
        assertThat((double) held / told).isGreaterThan(0.95 - 4 * Math.sqrt(0.95 * 0.05 / told));
    }

    @Test
    void allInputsAreExaminedWhileThereAreTenIterationsOfEach() {
        PlanBuilder plan = new PlanBuilder();
        for (int i = 0; i < 80; i++) {
            plan.task("T" + i, 10, new Shape.Uniform(5, 15));
            if (i > 0) {
                plan.link("T" + (i - 1), "T" + i);
            }
        }
        List<Driver> all = driversOf(plan, new RunSettings(2000, 3, Sampling.LATIN, 2));
        assertThat(all).hasSize(80).allSatisfy(d -> assertThat(
                        d.regression().orElseThrow().perUnit())
                .isCloseTo(1, within(1e-6)));
        assertThat(all.stream().mapToDouble(SensitivityTest::contribution).sum())
                .isCloseTo(1, within(1e-9));

        List<Driver> few = driversOf(plan, new RunSettings(500, 3, Sampling.LATIN, 2));
        assertThat(few.stream().filter(d -> d.regression().isPresent())).hasSize(50);
        assertThat(few.subList(50, 80)).allSatisfy(d -> {
            assertThat(d.regression()).as("not examined").isEmpty();
            assertThat(d.spearman()).isPresent();
        });
    }

    /** Two inputs that always move as one cannot be told apart: they share. */
    @Test
    void collinearInputsShare() {
        List<Driver> drivers = driversOf(
                new PlanBuilder()
                        .task("A", 20, new Shape.Uniform(10, 30))
                        .task("B", 20, new Shape.Uniform(10, 30))
                        .link("A", "B")
                        .correlation(Correlation.group("G", "Together", List.of("A", "B"), 1)),
                SETTINGS);
        assertThat(drivers).allSatisfy(d -> assertThat(contribution(d)).isCloseTo(0.5, within(1e-6)));
    }
}
