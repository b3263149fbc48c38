package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.CostCauses;
import app.tychon.core.analysis.CostOdds;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.RegisterEntry.Occurrence;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What rows, branches and categories cost adds up to what the project costs. */
class RowCostTest {
    private static final RunSettings SETTINGS = new RunSettings(500, 5, Sampling.LATIN, 2);
    private static final double CENT = 0.005;

    /** An activity with a line of 1,000 and a crew of 300, and a risk on record with 500. */
    @ParameterizedTest(name = "{0} on {1}: the activity costs {2}")
    @CsvSource({
        "ADD_COST, C, 1800",
        "SCALE_COST, C, 1800",
        "ADD_COST, A, 1800",
        "SCALE_COST, A, 1800",
        // On a branch, the project or a resource it stands on no row.
        "SCALE_COST, W, 1300",
        "ADD_COST, project, 1300",
        "SCALE_COST, crew, 1300",
    })
    void moneyOnRecordStandsOnWhatTheEffectNames(Effect effect, String on, double expected) {
        Shape size = effect.isScale() ? new Shape.Fixed(1.2) : new Shape.Fixed(100);
        Risk risk = threat("K", 0.4)
                .impact(effect, Draw.SHARED, size, effect.isScale() ? Basis.FACTOR : Basis.MONEY, on)
                .state(Risk.State.OCCURRED)
                .risk();
        Occurrence took = new Occurrence(LocalDate.of(2027, 3, 4), 0, 500);
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .cost("C", "A", 1000, 1, null)
                .resource("crew", 30, Resource.Per.DAY)
                .assign("A", "crew", 1)
                .risk(risk.withEntry(risk.entry().withOccurred(Optional.of(took))))
                .build());
        assertThat(result.cost().totals()).containsOnly(1800);
        assertThat(result.activities().get(0).meanCost()).isEqualTo(expected);
    }

    @Test
    void rowsBranchesAndCategoriesAddUpInEveryIteration() {
        for (int seed = 0; seed < 30; seed++) {
            Plan plan = onRecord(RandomPlans.risky(seed, 25), seed);
            CompiledPlan compiled = CompiledPlan.of(plan);
            double[] totals = run(plan).cost().totals();
            CostOdds odds = CostOdds.of(compiled, SETTINGS, SETTINGS.iterations(), RunMonitor.NONE);
            double actions = actions(compiled);
            assertAddsUp(odds.places().values(), actions, totals, "rows of plan " + seed);
            // Every branch but those at the top lies in another; beside them there is what stands on the project
            // itself.
            Map<String, double[]> branches = odds.branches();
            assertAddsUp(List.of(branches.get(Plan.PROJECT)), actions, totals, "the project " + seed);
            double[] top = branches.getOrDefault("W", new double[totals.length]);
            double[] own = odds.places().getOrDefault(Plan.PROJECT, new double[totals.length]);
            assertAddsUp(List.of(top, own), actions, totals, "branches of plan " + seed);
            Set<String> categories = new LinkedHashSet<>();
            Slice.categories(plan).values().stream()
                    .filter(category -> !category.isEmpty())
                    .map(category -> category.split("/")[0])
                    .forEach(categories::add);
            List<double[]> sums = categories.stream()
                    .map(category -> odds.sum(Slice.of(plan, category)))
                    .toList();
            assertAddsUp(
                    concat(sums, odds.sum(Slice.ofNoCategory(plan))), actions, totals, "categories of plan " + seed);
            Map<String, RunResult.CostSamples> causes = CostCauses.of(
                    compiled,
                    SETTINGS,
                    item -> item.place().on(),
                    one -> one.place().on(),
                    RunMonitor.NONE);
            assertAddsUp(
                    causes.values().stream().map(RunResult.CostSamples::totals).toList(),
                    actions,
                    totals,
                    "causes of plan " + seed);
            assertMeansAddUp(compiled, run(plan), odds);
        }
    }

    /** The same, with what has occurred on record with its days and its money, and another risk that scales a line. */
    private static Plan onRecord(Plan plan, int seed) {
        Occurrence took = new Occurrence(LocalDate.of(2027, 3, 4), seed % 4, 500);
        return plan.withRisks(plan.risks().stream()
                .map(risk -> seed % 2 == 0 && risk.id().equals("K4") ? risk.withState(Risk.State.OCCURRED) : risk)
                .map(risk -> risk.state() == Risk.State.OCCURRED
                        ? risk.withEntry(risk.entry().withOccurred(Optional.of(took)))
                        : risk)
                .toList());
    }

    private static void assertMeansAddUp(CompiledPlan plan, RunResult result, CostOdds odds) {
        Map<String, double[]> places = odds.places();
        result.activities().forEach(activity -> {
            double[] own = places.getOrDefault(activity.id(), new double[] {0});
            assertThat(activity.meanCost())
                    .as(activity.id())
                    .isCloseTo(Arrays.stream(own).average().orElse(0), within(CENT));
        });
    }

    private static double actions(CompiledPlan plan) {
        double items = plan.costs().items().stream()
                .mapToDouble(item -> item.plannedCost())
                .sum();
        return plan.costs().planned() - items + plan.costs().actions();
    }

    private static Collection<double[]> concat(List<double[]> some, double[] one) {
        List<double[]> all = new ArrayList<>(some);
        all.add(one);
        return all;
    }

    private static void assertAddsUp(Collection<double[]> parts, double actions, double[] totals, String what) {
        for (int i = 0; i < totals.length; i++) {
            int at = i;
            double sum = parts.stream().mapToDouble(part -> part[at]).sum() + actions;
            assertThat(sum).as("%s, iteration %d", what, i).isCloseTo(totals[i], within(CENT));
        }
    }

    private static RunResult run(Plan plan) {
        return Simulation.run(CompiledPlan.of(plan), SETTINGS, RunMonitor.NONE);
    }
}
