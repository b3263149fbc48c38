package app.tychon.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.FundingOdds.Stretch;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Resource.Per;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.CashFlow;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.Slice;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What lines, categories and branches cost, by cause; what funding and limits of resources are worth. */
class CostOddsTest {
    private static final RunSettings SETTINGS = new RunSettings(1000, 3, Sampling.LATIN, 2);

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    @Test
    void linesCategoriesAndBranchesAddUpToTheTotalInEveryFuture() {
        for (int seed = 0; seed < 10; seed++) {
            CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(seed, 25));
            double[] totals =
                    Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE).cost();
            CostOdds odds = CostOdds.of(plan, SETTINGS, 1000, RunMonitor.NONE);
            double[] whole = odds.sum(Slice.whole());
            Map<String, double[]> places = odds.places();
            double[] top = odds.branches().get("W");
            for (int i = 0; i < totals.length; i++) {
                int future = i;
                assertThat(whole[i]).isCloseTo(totals[i], within(1e-6));
                double onPlaces =
                        places.values().stream().mapToDouble(own -> own[future]).sum();
                double certain = totals[i] - onPlaces;
                assertThat(certain)
                        .as("what responses cost")
                        .isCloseTo(
                                totals[0]
                                        - places.values().stream()
                                                .mapToDouble(own -> own[0])
                                                .sum(),
                                within(1e-6));
                double onProject = places.getOrDefault(Plan.PROJECT, new double[1000])[i];
                assertThat(top[i] + onProject).isCloseTo(onPlaces, within(1e-6));
            }
            double[] steel = odds.sum(Slice.of(plan.network().plan(), "Steel"));
            double[] within = odds.sum(Slice.of(plan.network().plan(), "Steel/Dome"));
            Plan model = plan.network().plan();
            Set<String> highest = Slice.categories(model).values().stream()
                    .map(category -> category.split("/")[0])
                    .filter(category -> !category.isEmpty())
                    .collect(Collectors.toSet());
            double byCategory = highest.stream()
                    .mapToDouble(category -> mean(odds.sum(Slice.of(model, category))))
                    .sum();
            double onPlaces =
                    places.values().stream().mapToDouble(CostOddsTest::mean).sum();
            assertThat(byCategory + mean(odds.sum(Slice.ofNoCategory(model))))
                    .as("categories, and what is of none")
                    .isCloseTo(onPlaces, within(0.005));
            assertThat(mean(steel)).isGreaterThanOrEqualTo(mean(within));
            assertThat(mean(odds.sum(Slice.on(plan.network(), "W")))).isCloseTo(mean(top), within(0.005));
        }
    }

    @Test
    void causesOfEachGroupAddUpToIt() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(3, 25));
        RunResult result = Simulation.run(plan, SETTINGS, RunMonitor.NONE);
        Map<String, String> categories = Slice.categories(plan.network().plan());
        Map<String, CostSamples> groups = CostCauses.of(
                plan,
                SETTINGS,
                item -> categories.get(item.id()),
                added -> categories.getOrDefault(added.target(), ""),
                RunMonitor.NONE);
        CostSamples whole = result.cost();
        for (int i = 0; i < result.iterations(); i++) {
            int future = i;
            assertThat(groups.values().stream()
                            .mapToDouble(g -> g.spread()[future])
                            .sum())
                    .isCloseTo(whole.spread()[i], within(1e-6));
            assertThat(groups.values().stream()
                            .mapToDouble(g -> g.timeDriven()[future])
                            .sum())
                    .isCloseTo(whole.timeDriven()[i], within(1e-6));
            assertThat(groups.values().stream()
                            .mapToDouble(g -> g.risk()[future])
                            .sum())
                    .isCloseTo(whole.risk()[i], within(1e-6));
        }
    }

    /** 1,000 to 2,000 falls due on 10 June; 1,600 is there by then, and all that is needed a month later. */
    @Test
    void theChanceToStayWithinFundingIsThatOfTheAmountThatFallsDue() {
        List<Funding> funding = List.of(
                new Funding(LocalDate.of(2027, 3, 1), 1600, "first"),
                new Funding(LocalDate.of(2027, 7, 10), 400, "rest"));
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 120)
                .cost(CostLine.of("C", "Blank", "A", 1000)
                        .withInstalments(List.of(Instalment.onDay(1, LocalDate.of(2027, 6, 10))))
                        .withEstimate(Optional.of(new Estimate(new Shape.Uniform(1, 2), Basis.FACTOR))))
                .build());
        RunResult result = Simulation.run(plan, SETTINGS, RunMonitor.NONE);
        CashFlow flow = CashFlow.of(
                plan,
                result,
                Period.MONTH,
                funding.stream().map(Funding::date).toList(),
                Slice.whole(),
                RunMonitor.NONE);
        FundingOdds odds = FundingOdds.of(flow, funding);
        Stretch june = odds.stretches().stream()
                .filter(s -> s.from().equals(LocalDate.of(2027, 6, 1)))
                .findFirst()
                .orElseThrow();
        assertThat(june.available()).isEqualTo(1600);
        assertThat(june.within()).isCloseTo(0.6, within(0.001));
        assertThat(june.breaks()).isCloseTo(0.4, within(0.001));
        assertThat(odds.throughout()).isCloseTo(0.6, within(0.001));
        Stretch last = odds.stretches().get(odds.stretches().size() - 1);
        assertThat(last.within()).as("in the end there is enough").isEqualTo(1);
        assertThat(last.from()).isAfterOrEqualTo(LocalDate.of(2027, 7, 10));
        assertThat(Arrays.stream(odds.shortfalls()).max().orElseThrow()).isCloseTo(400, within(2.0));
    }

    /** Two tasks of which one waits ten days: they overlap where the first takes longer. */
    @Test
    void aLimitIsExceededWhereWorkOverlaps() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 8, new Shape.Uniform(5, 15))
                .task("D", 10)
                .task("B", 5)
                .link("D", "B")
                .resource(new Resource("crew", "Crew", 1000, Per.DAY).withLimit(Optional.of(1.0)))
                .assign("A", "crew", 1)
                .assign("B", "crew", 1)
                .build());
        Resource crew = plan.network().plan().resources().get(0);
        ResourceLoad load = ResourceLoad.of(plan, SETTINGS, "crew", Period.WEEK, RunMonitor.NONE);
        assertThat(load.planned()).containsExactly(1, 1, 1);
        assertThat(load.everExceeded(crew)).isCloseTo(0.5, within(0.001));
        assertThat(load.exceeded(crew, 0)).isZero();
        assertThat(load.exceeded(crew, 2)).isCloseTo(0.5, within(0.001));
    }

    @Test
    void moneyAtTheStartOfABranchFallsDueWhenItsFirstWorkBegins() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .branch("B", "W")
                .task("A", 30)
                .cost(CostLine.of("C", "Fee", "W", 100).withTiming(CostTiming.START))
                .build());
        CashFlow flow = CashFlow.of(plan, Simulation.run(plan, SETTINGS, RunMonitor.NONE), Period.MONTH);
        assertThat(flow.planned()[0]).isEqualTo(100);
    }
}
