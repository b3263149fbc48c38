package app.tychon.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.CompiledPlan;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.RunMonitor;
import app.tychon.core.simulation.RunResult;
import app.tychon.core.simulation.RunSettings;
import app.tychon.core.simulation.Sampling;
import app.tychon.core.simulation.Simulation;
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
        assertThat(wide.contribution()).isCloseTo(0.8, within(0.02));
        assertThat(narrow.contribution()).isCloseTo(0.2, within(0.02));
        assertThat(drivers.stream().mapToDouble(Driver::contribution).sum()).isCloseTo(1, within(1e-9));
        assertThat(wide.perUnit()).as("minutes per minute").isCloseTo(1, within(1e-9));
        // The means of the outer tenths of a uniform lie nine tenths of its width apart.
        assertThat(wide.swing() / 480).isCloseTo(18, within(0.3));
        assertThat(Math.abs(drivers.get(2).spearman())).isLessThan(5 / Math.sqrt(SETTINGS.iterations()));
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
    void aCertainOutputHasNoDrivers() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("long", 100)
                .task("short", 3, new Shape.Uniform(1, 5))
                .build());
        List<Driver> drivers =
                Sensitivity.drivers(Inputs.of(plan), SETTINGS, run(plan).duration());
        assertThat(drivers).singleElement().satisfies(d -> {
            assertThat(d.spearman()).isZero();
            assertThat(d.contribution()).isZero();
            assertThat(d.swing()).isZero();
        });
    }

    @Test
    void equalValuesShareTheirRanks() {
        assertThat(Ranks.of(new double[] {3, 1, 3, 2})).containsExactly(3.5, 1, 3.5, 2);
        assertThat(Ranks.spearman(new double[] {1, 2, 3}, new double[] {1, 10, 100}))
                .isEqualTo(1);
        assertThat(Ranks.pearson(new double[] {1, 1}, new double[] {1, 2})).isZero();
    }
}
