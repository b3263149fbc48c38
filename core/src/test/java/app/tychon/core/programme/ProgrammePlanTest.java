package app.tychon.core.programme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.ResourceLoad;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.Ranks;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ProgrammePlanTest {
    private static final RunSettings SETTINGS = new RunSettings(2_000, 11, Sampling.LATIN, 2);

    private static Plan drawnBy(String key, Plan plan) {
        return plan.withProject(plan.project().withDraws(key).withName("Project " + key));
    }

    private static Member member(String code, Plan plan) {
        return new Member(code, drawnBy(code + "/", plan), Optional.empty());
    }

    private static Programme programme(List<Member> members, Tie... ties) {
        return new Programme("P", "Programme", "EUR", Targets.NONE, members, List.of(ties));
    }

    private static RunResult simulated(Plan plan) {
        return Simulation.run(CompiledPlan.of(plan), SETTINGS, RunMonitor.NONE);
    }

    private static Output output(RunResult result, String id) {
        return result.outputs().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static void isTheSame(RunResult together, Plan plan, Member member) {
        RunResult alone = simulated(member.plan());
        Output within = output(together, member.part().root());
        MemberFutures futures = MemberFutures.of(CompiledPlan.of(plan), together, RunMonitor.NONE).stream()
                .filter(one -> one.part().equals(member.part()))
                .findFirst()
                .orElseThrow();
        assertThat(futures.finish()).isEqualTo(alone.finish());
        assertThat(within.finish()).as(member.code() + " finish").isEqualTo(alone.finish());
        assertThat(within.start()).as(member.code() + " start").isEqualTo(alone.start());
        if (alone.hasMoney()) {
            double[] totals = alone.cost().totals();
            for (int i = 0; i < totals.length; i++) {
                // What stands on each row is added up here, each cause alone: the same numbers in another order.
                assertThat(futures.cost()[i] / totals[i])
                        .as(member.code() + " cost of future " + i)
                        .isCloseTo(1, within(1e-12));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void projectsWithoutTiesHaveTheDatesThatTheyHaveAloneToTheBitAndTheirMoney(long seed) {
        Member one = member("A", RandomPlans.risky(seed, 40));
        Member other = member("B", RandomPlans.manyCalendars(seed + 100, 30));
        Member third = member("C", RandomPlans.oneCalendar(seed + 200, 30));
        Plan plan = ProgrammePlan.of(programme(List.of(one, other, third)));
        RunResult together = simulated(plan);
        isTheSame(together, plan, one);
        isTheSame(together, plan, other);
        isTheSame(together, plan, third);
        double[] latest = new double[SETTINGS.iterations()];
        Arrays.fill(latest, Double.NEGATIVE_INFINITY);
        for (Member member : List.of(one, other, third)) {
            double[] finish = output(together, member.part().root()).finish();
            for (int i = 0; i < latest.length; i++) {
                latest[i] = Math.max(latest[i], finish[i]);
            }
        }
        assertThat(together.finish()).isEqualTo(latest);
    }

    @Test
    void rowsOfTheSameNameInTwoProjectsDrawApartAndAddingAProjectChangesNothingElse() {
        Plan plan =
                new PlanBuilder().task("X", 10, new Shape.Triangular(0.5, 1, 2)).build();
        Member one = member("A", plan);
        Member other = member("B", plan);
        RunResult two = simulated(ProgrammePlan.of(programme(List.of(one, other))));
        double[] first = output(two, "A:project").finish();
        double[] second = output(two, "B:project").finish();
        assertThat(Ranks.spearman(first, second)).isCloseTo(0, within(0.08));
        RunResult three = simulated(ProgrammePlan.of(programme(List.of(member("C", plan), one, other))));
        assertThat(output(three, "A:project").finish()).isEqualTo(first);
        assertThat(output(three, "B:project").finish()).isEqualTo(second);
    }

    /** Ten days from Monday, then three of the other's, which could begin at once: Friday week, and Wednesday after that. */
    @Test
    void workOfOneProjectWaitsForThatOfAnotherAndNothingElseMoves() {
        Member road = member("R", new PlanBuilder().task("X", 10).task("Y", 2).build());
        Member house = member("H", new PlanBuilder().task("X", 3).task("Z", 4).build());
        Tie tie = new Tie.Logic(
                "T1", "R:X", "H:X", LinkType.FS, WorkDuration.parse("1d").orElseThrow());
        RunResult together = simulated(ProgrammePlan.of(programme(List.of(road, house), tie)));
        assertThat(Instants.toCivil(output(together, "R:project").finish()[0])).isEqualTo("2027-03-12T17:00");
        assertThat(Instants.toCivil(output(together, "H:project").finish()[0])).isEqualTo("2027-03-18T17:00");
        assertThat(Instants.toCivil(output(together, "H:project").start()[0])).isEqualTo("2027-03-01T08:00");
        assertThat(Instants.toCivil(together.finish()[0])).isEqualTo("2027-03-18T17:00");
    }

    private static Risk late(String id, double chance, double days) {
        return new Risk(
                id,
                "Late",
                Risk.Kind.THREAT,
                Risk.State.OPEN,
                "",
                "",
                chance,
                List.of(new Impact(
                        List.of("X"),
                        Impact.Effect.ADD_TIME,
                        Impact.Draw.SHARED,
                        new Estimate(new Shape.Fixed(days), Basis.DAYS))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    @Test
    void aSharedRiskOccursForAllOrForNone() {
        Member one = member(
                "A", new PlanBuilder().task("X", 10).risk(late("R1", 0.3, 5)).build());
        Member other = member(
                "B", new PlanBuilder().task("X", 20).risk(late("R9", 0.8, 10)).build());
        Programme apart = programme(List.of(one, other));
        Tie tie = new Tie.SharedRisk("T1", "A:R1", List.of("B:R9"));
        RunResult shared = simulated(ProgrammePlan.of(programme(List.of(one, other), tie)));
        double[] first = output(shared, "A:project").duration();
        double[] second = output(shared, "B:project").duration();
        int struck = 0;
        for (int i = 0; i < first.length; i++) {
            boolean late = first[i] > 10 * 480;
            struck += late ? 1 : 0;
            assertThat(second[i]).isEqualTo((late ? 30 : 20) * 480.0);
        }
        assertThat(struck / (double) first.length).isCloseTo(0.3, within(0.001));
        assertThat(first)
                .as("whose chance holds draws as it does alone")
                .isEqualTo(
                        output(simulated(ProgrammePlan.of(apart)), "A:project").duration());
    }

    @Test
    void estimatesOfTwoProjectsMoveTogether() {
        Plan plan =
                new PlanBuilder().task("X", 10, new Shape.Triangular(0.5, 1, 2)).build();
        Tie tie = new Tie.Together("G1", "One contractor", List.of("A:X", "B:X"), 0.8);
        RunResult together = simulated(ProgrammePlan.of(programme(List.of(member("A", plan), member("B", plan)), tie)));
        assertThat(Ranks.spearman(
                        output(together, "A:project").duration(),
                        output(together, "B:project").duration()))
                .isCloseTo(0.8, within(0.03));
    }

    @Test
    void moneyOfAnotherCurrencyIsConvertedByItsRate() {
        Plan plan = new PlanBuilder()
                .task("X", 10, new Shape.Triangular(0.5, 1, 2))
                .cost("C", "X", 1_000, 0, new Shape.Triangular(0.8, 1, 1.5))
                .build();
        Member own = member("A", plan);
        Plan abroad = plan.withProject(plan.project().withCurrency("SEK").withDraws("B/"));
        assertThat(ProgrammeRules.problems(programme(List.of(own, new Member("B", abroad, Optional.empty())))))
                .extracting(Problem::message)
                .singleElement()
                .asString()
                .contains("counts in SEK: what is one worth in EUR");
        Member converted = new Member("B", abroad, Optional.of(new ExchangeRate(0.125, LocalDate.of(2027, 1, 4))));
        RunResult together = simulated(ProgrammePlan.of(programme(List.of(own, converted))));
        double[] alone = simulated(abroad).cost().totals();
        double[] within = output(together, "B:project").cost();
        for (int i = 0; i < alone.length; i++) {
            // An eighth is exact.
            assertThat(within[i]).isEqualTo(alone[i] / 8);
        }
    }

    /** Both crews are one: on the days on which both projects want it, it is wanted twice. */
    @Test
    void aResourceThatTwoProjectsShareIsOverbookedWhereBothWantIt() {
        PlanBuilder first = new PlanBuilder()
                .task("X", 10)
                .resource("crew", 100, Resource.Per.DAY)
                .assign("X", "crew", 1)
                .risk(late("R1", 0.25, 5));
        PlanBuilder second = new PlanBuilder()
                .task("V", 10)
                .task("X", 5)
                .link("V", "X")
                .resource("crew", 100, Resource.Per.DAY)
                .assign("X", "crew", 1);
        Programme programme = programme(
                List.of(member("A", first.build()), member("B", second.build())),
                new Tie.SharedResource("T1", "Crew", List.of("A:crew", "B:crew"), 1));
        ResourceLoad load = ResourceLoad.of(
                CompiledPlan.of(ProgrammePlan.of(programme)),
                SETTINGS,
                List.of("A:crew", "B:crew"),
                Period.WEEK,
                RunMonitor.NONE);
        assertThat(load.everExceeded(1)).isCloseTo(0.25, within(0.001));
        assertThat(load.exceeded(1, 0)).isZero();
        assertThat(load.exceeded(1, 2)).isCloseTo(0.25, within(0.001));
    }

    @Test
    void aLoopThroughTwoProjectsIsRefusedWithAllThatIsInIt() {
        Member one = member(
                "A", new PlanBuilder().task("X", 1).task("Y", 1).link("X", "Y").build());
        Member other = member(
                "B", new PlanBuilder().task("X", 1).task("Y", 1).link("X", "Y").build());
        Plan plan = ProgrammePlan.of(programme(
                List.of(one, other),
                new Tie.Logic("T1", "A:Y", "B:X", LinkType.FS, WorkDuration.ZERO),
                new Tie.Logic("T2", "B:Y", "A:X", LinkType.FS, WorkDuration.ZERO)));
        assertThatThrownBy(() -> CompiledPlan.of(plan))
                .isInstanceOf(InvalidPlanException.class)
                .hasMessageContaining("A:X")
                .hasMessageContaining("B:Y");
    }

    @Test
    void whatCannotBeTrueIsSaidWithItsPlace() {
        Member one = member(
                "A", new PlanBuilder().task("X", 1).risk(late("R1", 0.3, 5)).build());
        Member twice = new Member("A", one.plan(), Optional.empty());
        assertThatThrownBy(() -> ProgrammePlan.of(programme(List.of())))
                .hasMessageContaining("a programme has at least one project");
        assertThat(ProgrammeRules.problems(programme(
                        List.of(one, twice),
                        new Tie.Logic("T1", "A:X", "A:Q", LinkType.FS, WorkDuration.ZERO),
                        new Tie.Logic("T1", "A:X", "A:X", LinkType.FS, WorkDuration.ZERO),
                        new Tie.SharedRisk("T2", "A:R1", List.of("Z:R1")),
                        new Tie.Together("T3", "", List.of("A:X"), 1.5),
                        new Tie.SharedResource("T4", "Crew", List.of("A:crew"), 0))))
                .extracting(Problem::pointer)
                .containsExactlyInAnyOrder(
                        "/members/1/code",
                        "/members/1/draws",
                        "/ties/0/to",
                        "/ties/0/to",
                        "/ties/1/id",
                        "/ties/1/to",
                        "/ties/1/to",
                        "/ties/2/others/0",
                        "/ties/3/members",
                        "/ties/3/coefficient",
                        "/ties/4/resources/0",
                        "/ties/4/resources",
                        "/ties/4/limit");
    }

    @Test
    void groupsOfOneProjectStayAsTheyAre() {
        Plan plan = new PlanBuilder()
                .task("X", 10, new Shape.Triangular(0.5, 1, 2))
                .task("Y", 10, new Shape.Triangular(0.5, 1, 2))
                .correlation(Correlation.group("G", "Crew", List.of("X", "Y"), 0.7))
                .build();
        Member one = member("A", plan);
        Plan both = ProgrammePlan.of(programme(List.of(member("B", plan), one)));
        isTheSame(simulated(both), both, one);
    }
}
