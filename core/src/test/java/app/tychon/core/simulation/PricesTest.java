package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Instalment.End;
import app.tychon.core.model.Plan;
import app.tychon.core.model.RegisterEntry.Occurrence;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Resource.Per;
import app.tychon.core.model.Resource.RateFrom;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.PlannedCost;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Prices that rise, rates that change, instalments and money that is spent, against exact cases. */
class PricesTest {
    private static final double DAY = 480;
    private static final double YEAR = 365.25 * 24 * 60;
    private static final RunSettings SETTINGS = new RunSettings(1000, 5, Sampling.LATIN, 2);

    private static RunResult run(CompiledPlan plan) {
        return Simulation.run(plan, SETTINGS, RunMonitor.NONE);
    }

    private static double minutes(double from, double to) {
        return to - from;
    }

    @Test
    void laterWorkCostsMoreInTheSameFuture() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 200, new Shape.Triangular(150, 200, 400))
                .cost(CostLine.of("C", "Bell", "A", 1000)
                        .withTiming(CostTiming.FINISH)
                        .withCategory("Steel/Dome"))
                .cost(CostLine.of("N", "None", "A", 500))
                .escalation("Steel", new Shape.Fixed(0.1))
                .build());
        RunResult result = run(plan);
        double start = result.start()[0];
        double[] totals = result.cost().totals();
        for (int i = 0; i < totals.length; i++) {
            double years = minutes(start, result.finish()[i]) / YEAR;
            assertThat(totals[i]).isCloseTo(500 + 1000 * Math.pow(1.1, years), within(1e-6));
            assertThat(result.cost().spread()[i])
                    .as("nothing but time is uncertain")
                    .isCloseTo(0, within(1e-9));
        }
        double planned = 500 + 1000 * Math.pow(1.1, minutes(start, result.planFinish()) / YEAR);
        assertThat(result.cost().planned()).isCloseTo(planned, within(1e-6));
        assertThat(PlannedCost.of(plan.network())).isCloseTo(planned, within(1e-6));
    }

    /** What a risk adds to a line falls due with it, at the prices of then; what it adds to a row does not rise, nor does a fact. */
    @Test
    void whatARiskAddsToALineRisesWithItsPrices() {
        Risk onRecord = threat("K3", 1)
                .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(1), Basis.MONEY, "C")
                .risk();
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 200, new Shape.Triangular(150, 200, 400))
                .cost(CostLine.of("C", "Bell", "A", 1000)
                        .withInstalments(
                                List.of(Instalment.at(0.4, "A", End.START), Instalment.at(0.6, "A", End.FINISH)))
                        .withCategory("Steel"))
                .escalation("Steel", new Shape.Fixed(0.1))
                .risk(threat("K1", 0.5)
                        .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Uniform(100, 300), Basis.MONEY, "C")
                        .risk())
                .risk(threat("K2", 1)
                        .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(70), Basis.MONEY, "A")
                        .risk())
                .risk(onRecord.withState(Risk.State.OCCURRED)
                        .withEntry(onRecord.entry()
                                .withOccurred(Optional.of(new Occurrence(LocalDate.of(2027, 3, 4), 0, 55)))))
                .build());
        RunResult result = run(plan);
        Inputs inputs = Inputs.of(plan);
        double[] sizes = inputs.all().stream()
                .filter(input -> input.kind() == Input.Kind.IMPACT && input.id().equals("K1"))
                .map(input -> inputs.sample(input, SETTINGS, 0, SETTINGS.iterations()))
                .findFirst()
                .orElseThrow();
        int struck = 0;
        double[][] months = CashFlow.of(plan, result, Period.MONTH).cumulative().amounts();
        for (int i = 0; i < sizes.length; i++) {
            double years = minutes(result.start()[i], result.finish()[i]) / YEAR;
            double level = 0.4 + 0.6 * Math.pow(1.1, years);
            double more = result.cost().risk()[i] - 70 - 55;
            assertThat(more == 0 || Math.abs(more - sizes[i] * level) < 1e-6)
                    .as("iteration %d: %s of %s", i, more, sizes[i])
                    .isTrue();
            struck += more > 0 ? 1 : 0;
            double total = result.cost().totals()[i];
            assertThat(months[months.length - 1][i]).isCloseTo(total, within(1e-6));
            // At the start falls due what is due then of the line and of what is added to it.
            double atStart = 400 + (more > 0 ? 0.4 * sizes[i] : 0);
            assertThat(months[0][i]).isBetween(atStart, atStart + 70 + 55);
        }
        assertThat(struck).isEqualTo(500);
    }

    /** Spread evenly, the level of prices is its mean over the work. */
    @Test
    void evenlyPaidWorkHasTheMeanOfRisingPrices() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 260)
                .cost(CostLine.of("C", "Fee", "A", 1000))
                .escalation("", new Shape.Fixed(0.08))
                .build());
        double from = 0;
        double to = minutes(run(plan).start()[0], plan.schedule().finish()) / YEAR;
        double mean = 0;
        int steps = 100_000;
        for (int s = 0; s < steps; s++) {
            mean += Math.pow(1.08, from + (to - from) * (s + 0.5) / steps) / steps;
        }
        assertThat(plan.plannedCost()).isCloseTo(1000 * mean, within(1e-4));
    }

    @Test
    void anUncertainRateIsSpreadAndItsMeanIsPlanned() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 100)
                .cost(CostLine.of("C", "Fee", "A", 1000)
                        .withInstalments(List.of(Instalment.onDay(1, LocalDate.of(2029, 3, 1)))))
                .escalation("", new Shape.Uniform(0.02, 0.06))
                .build());
        RunResult result = run(plan);
        double years = (LocalDate.of(2029, 3, 1).toEpochDay()
                        - LocalDate.of(2027, 3, 1).toEpochDay()
                        - 8 / 24.0)
                / 365.25;
        assertThat(result.cost().planned()).isCloseTo(1000 * Math.pow(1.04, years), within(1e-6));
        double mean = Arrays.stream(result.cost().totals()).average().orElseThrow();
        double exact = 1000 * (Math.pow(1.06, years + 1) - Math.pow(1.02, years + 1)) / (years + 1) / 0.04;
        assertThat(mean).isCloseTo(exact, within(0.05));
        assertThat(Arrays.stream(result.cost().timeDriven()).allMatch(part -> Math.abs(part) < 1e-9))
                .isTrue();
        assertThat(Inputs.of(plan).all())
                .extracting(input -> input.key().kind().name())
                .containsExactly("PRICE");
    }

    @Test
    void instalmentsFallDueOnTheirDaysAndWhenTheirWorkIsReached() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 40, new Shape.Uniform(30, 80))
                .task("B", 5)
                .link("A", "B")
                .cost(CostLine.of("C", "Blank", "B", 1000)
                        .withInstalments(List.of(
                                Instalment.onDay(0.3, LocalDate.of(2027, 3, 15)), Instalment.at(0.7, "A", End.FINISH))))
                .build());
        RunResult result = run(plan);
        CashFlow flow = CashFlow.of(plan, result, Period.WEEK);
        int third = flow.starts().indexOf(LocalDate.of(2027, 3, 15));
        for (int i = 0; i < result.iterations(); i++) {
            assertThat(flow.amounts()[third][i]).isCloseTo(300, within(1e-9));
            double sum = 0;
            for (double[] period : flow.amounts()) {
                sum += period[i];
            }
            assertThat(sum).isCloseTo(1000, within(1e-9));
        }
        // 40 days of work end in the eighth week.
        assertThat(flow.planned()[7]).isCloseTo(700, within(1e-9));
    }

    @Test
    void aRateFromADayOnCountsForTheWorkAfterIt() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 20, new Shape.Uniform(10, 40))
                .resource(new Resource("crew", "Crew", 1000, Per.DAY)
                        .withRates(List.of(new RateFrom(LocalDate.of(2027, 3, 15), 1500))))
                .assign("A", "crew", 2)
                .build());
        RunResult result = run(plan);
        assertThat(result.cost().planned()).isCloseTo(2 * (10 * 1000 + 10 * 1500), within(1e-6));
        double[] totals = result.cost().totals();
        for (int i = 0; i < totals.length; i++) {
            double days = result.duration()[i] / DAY;
            double before = Math.min(10, days);
            assertThat(totals[i]).isCloseTo(2 * (before * 1000 + (days - before) * 1500), within(1e-6));
        }
    }

    @Test
    void whatIsSpentIsCertainAndWhatIsToGoGrowsWithWhatRemains() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .dataDate("2027-03-15T08:00")
                .task("A", 30, new Shape.Uniform(20, 60))
                .actual("2027-03-01T08:00", null, "20d")
                .cost(CostLine.of("C", "Works", "A", 3000)
                        .withFixedShare(0)
                        .withSpent(Optional.of(1300.0))
                        .withToGo(Optional.of(2000.0)))
                .build());
        RunResult result = run(plan);
        assertThat(result.cost().planned()).isCloseTo(3300, within(1e-9));
        double[] totals = result.cost().totals();
        for (int i = 0; i < totals.length; i++) {
            double remaining = result.duration()[i] / DAY - 10;
            assertThat(totals[i]).isCloseTo(1300 + 2000 * remaining / 20, within(1e-6));
        }
        CashFlow flow = CashFlow.of(plan, result, Period.WEEK);
        for (int i = 0; i < totals.length; i++) {
            assertThat(flow.amounts()[0][i] + flow.amounts()[1][i])
                    .as("up to the data date")
                    .isCloseTo(1300, within(1e-6));
        }
        assertThat(Arrays.stream(flow.atTheOutset(plan, Slice.whole())).sum()).isCloseTo(3000, within(1e-6));
    }

    @Test
    void whatIsToGoIsWhatOfThePlanIsNotSpent() {
        Plan plan = new PlanBuilder()
                .dataDate("2027-03-15T08:00")
                .task("A", 30)
                .cost(CostLine.of("C", "Works", "A", 3000).withSpent(Optional.of(1300.0)))
                .cost(CostLine.of("D", "Dear", "A", 100).withSpent(Optional.of(130.0)))
                .build();
        assertThat(PlannedCost.of(Network.of(plan))).isCloseTo(3000 + 130, within(1e-9));
    }

    /** Hired by the day, it costs more where the plan is longer, and in every future that is longer than that. */
    @Test
    void whatIsPaidByTheDayFollowsThePlanAndTheFuture() {
        for (int days : new int[] {10, 14}) {
            CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                    .task("A", days, new Shape.Uniform(5, 30))
                    .hammock("H", "A", "A")
                    .cost(CostLine.of("C", "Crane", "H", 2000).withPerDay(Optional.of(150.0)))
                    .build());
            RunResult result = run(plan);
            assertThat(result.cost().planned()).isCloseTo(2000 + 150.0 * days, within(1e-9));
            double[] totals = result.cost().totals();
            for (int i = 0; i < totals.length; i++) {
                assertThat(totals[i]).isCloseTo(2000 + 150 * result.duration()[i] / DAY, within(1e-6));
            }
        }
    }

    /** With prices, instalments, progress and risks: every future's money is in its periods, and in its slices. */
    @Test
    void cashFlowAddsUpToCostInEveryIterationWhateverMoneyThereIs() {
        for (int seed = 0; seed < 40; seed++) {
            CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(seed, 25));
            RunResult result = run(plan);
            double[] totals = result.cost().totals();
            CashFlow flow = CashFlow.of(plan, result, Period.values()[seed % 3]);
            CashFlow steel = CashFlow.of(
                    plan,
                    result,
                    Period.MONTH,
                    List.of(),
                    Slice.of(plan.network().plan(), "Steel"),
                    RunMonitor.NONE);
            CashFlow dome = CashFlow.of(
                    plan,
                    result,
                    Period.MONTH,
                    List.of(),
                    Slice.of(plan.network().plan(), "Steel/Dome"),
                    RunMonitor.NONE);
            for (int i = 0; i < totals.length; i++) {
                assertThat(sum(flow, i)).as("plan %d, future %d", seed, i).isCloseTo(totals[i], within(0.005));
                assertThat(sum(dome, i)).isLessThanOrEqualTo(sum(steel, i) + 0.005);
            }
            assertThat(Arrays.stream(flow.planned()).sum())
                    .as("plan %d as planned", seed)
                    .isCloseTo(result.cost().planned(), within(0.005));
        }
    }

    private static double sum(CashFlow flow, int iteration) {
        return Arrays.stream(flow.amounts())
                .mapToDouble(period -> period[iteration])
                .sum();
    }
}
