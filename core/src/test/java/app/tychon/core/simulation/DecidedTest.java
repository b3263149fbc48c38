package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.PlannedCost;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the contract leaves open and the notes on calculation decide, case by case, against exact values. */
class DecidedTest {
    static final double DAY = 480;
    static final RunSettings SETTINGS = new RunSettings(1000, 5, Sampling.LATIN, 2);

    static RunResult run(PlanBuilder plan) {
        return run(CompiledPlan.of(plan.build()));
    }

    static RunResult run(CompiledPlan plan) {
        return Simulation.run(plan, SETTINGS, RunMonitor.NONE);
    }

    static ActivityResult of(RunResult result, String id) {
        return result.activities().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    static double occurred(RunResult result, String id) {
        return result.risks().stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow()
                .occurred();
    }

    private static Risk scalesMoney(String id, double factor, String... on) {
        return threat(id, 1)
                .impact(Effect.SCALE_COST, Draw.SHARED, new Shape.Fixed(factor), Basis.FACTOR, on)
                .risk();
    }

    private static Risk addsMoney(String id, double money, String... on) {
        return threat(id, 1)
                .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(money), Basis.MONEY, on)
                .risk();
    }

    @Test
    void withAnElapsedLagCalendarADayHas24HoursAndAWeekSevenDays() {
        for (String lag : List.of("7d", "1w", "168h", "7ed")) {
            Plan plan = new PlanBuilder()
                    .lagCalendar(LagCalendar.ELAPSED)
                    .task("A", 1)
                    .task("B", 1)
                    .link("A", "B", LinkType.FS, lag)
                    .build();
            CompiledPlan compiled = CompiledPlan.of(plan);
            // A ends on Monday 1 March at 17:00, the lag a week later, and B goes to the next morning.
            assertThat(compiled.schedule().activities().get(1).earlyStart())
                    .as(lag)
                    .isEqualTo(Instants.of(LocalDateTime.of(2027, 3, 9, 8, 0)));
        }
    }

    @Test
    void aMilestoneThatARiskMovesTakesNoTimeAndTellsItsDelay() {
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .milestone("M")
                .milestone("free")
                .link("A", "M")
                .link("A", "free")
                .risk(threat("K", 1).addsDays(new Shape.Uniform(2, 6), "M").risk()));
        ActivityResult moved = of(result, "M");
        assertThat(moved.meanDuration()).isZero();
        assertThat(moved.sdDuration()).isZero();
        assertThat(moved.duration()).containsOnly(0);
        ActivityResult.Delay delay = moved.delay().orElseThrow();
        assertThat(delay.mean() / DAY).isCloseTo(4, within(0.01));
        assertThat(delay.sd() / DAY).isCloseTo(4 / Math.sqrt(12), within(0.01));
        assertThat(delay.percentiles()[49] / DAY).isCloseTo(4, within(0.03));
        assertThat(of(result, "free").delay()).isEmpty();
        Output kept = result.outputs().stream()
                .filter(o -> o.id().equals("M"))
                .findFirst()
                .orElseThrow();
        assertThat(kept.duration()).containsOnly(0);
    }

    @Test
    void aHammockDoesNotWidenItsBranch() {
        PlanBuilder plan = new PlanBuilder()
                .branch("X", "W")
                .branch("only", "X")
                .task("before", "W", "std", WorkDuration.days(5), null)
                .task("inside", "X", "std", WorkDuration.days(10), new Shape.Uniform(8, 12))
                .task("after", "W", "std", WorkDuration.days(5), null)
                .link("before", "inside")
                .link("inside", "after");
        for (String branch : List.of("X", "only")) {
            plan.link("before", "H" + branch, LinkType.SS, "0d")
                    .link("after", "H" + branch, LinkType.FF, "0d")
                    .activity(
                            Activity.of("H" + branch, branch, "Hire", ActivityKind.HAMMOCK, WorkDuration.ZERO, "std"));
        }
        CompiledPlan compiled = CompiledPlan.of(plan.build());
        double[] inside =
                Outputs.of(compiled, SETTINGS, 1000, "inside", RunMonitor.NONE).duration();
        assertThat(Outputs.of(compiled, SETTINGS, 1000, "X", RunMonitor.NONE).duration())
                .containsExactly(inside, within(1e-6));
        double[] hammock =
                Outputs.of(compiled, SETTINGS, 1000, "Honly", RunMonitor.NONE).duration();
        assertThat(Outputs.of(compiled, SETTINGS, 1000, "only", RunMonitor.NONE).duration())
                .as("a branch of nothing else has the hammock's span")
                .containsExactly(hammock, within(1e-6));
    }

    private static PlanBuilder halfDone() {
        return new PlanBuilder()
                .branch("old", "W")
                .task("done", "old", "std", WorkDuration.days(5), null)
                .actual("2027-03-01T08:00", "2027-03-05T17:00", null)
                .task("next", 10)
                .link("done", "next")
                .hammock("H", "done", "done")
                .dataDate("2027-03-08T08:00")
                .resource("crew", 100, Resource.Per.DAY)
                .assign("done", "crew", 1)
                .cost("line", "done", 1000, 1, new Shape.Uniform(0.5, 2))
                .cost("hire", "H", 1000, 1, new Shape.Uniform(0.5, 2))
                .cost("branch", "old", 1000, 1, new Shape.Uniform(0.5, 2));
    }

    @Test
    void nothingStrikesFinishedWorkInTimeOrMoney() {
        RunResult result = run(halfDone()
                .risk(addsMoney("K1", 500, "done", "line", "old", "H"))
                .risk(scalesMoney("K2", 3, "done", "old", "hire", "crew"))
                .risk(threat("K3", 1).addsDays(new Shape.Fixed(9), "done").risk()));
        assertThat(result.cost().risk()).containsOnly(0);
        assertThat(result.cost().spread()).as("what is finished is certain").containsOnly(0);
        assertThat(result.duration()).containsOnly(15 * DAY);
        RunResult open = run(halfDone().risk(addsMoney("K1", 500, "next", "project")));
        assertThat(open.cost().risk()).containsOnly(1000);
    }

    @Test
    void plannedCostFollowsProgressAsThePlannedFinishDoes() {
        // Ten days planned; five done in the first week, and ten still to go.
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .actual("2027-03-01T08:00", null, "10d")
                .dataDate("2027-03-08T08:00")
                .resource("crew", 100, Resource.Per.DAY)
                .assign("A", "crew", 1)
                .cost("C", "A", 2000, 0.25, new Shape.Uniform(0.5, 1.5))
                .build();
        double expected = 100 * 15 + 2000 * (0.25 + 0.75 * 1.5);
        CompiledPlan compiled = CompiledPlan.of(plan);
        assertThat(compiled.plannedCost()).isCloseTo(expected, within(1e-9));
        assertThat(PlannedCost.of(Network.of(plan))).isCloseTo(expected, within(1e-9));
        RunResult result = run(compiled);
        double[] totals = result.cost().totals();
        assertThat(Arrays.stream(totals).average().orElse(0)).isCloseTo(expected, within(0.5));
        for (int i = 0; i < totals.length; i++) {
            assertThat(result.cost().timeDriven()[i]).isCloseTo(0, within(1e-9));
            assertThat(result.cost().planned() + result.cost().spread()[i]).isCloseTo(totals[i], within(1e-9));
        }
        double[] planned = CashFlow.of(compiled, result, Period.MONTH).planned();
        assertThat(Arrays.stream(planned).sum()).isCloseTo(expected, within(1e-6));
    }

    private static PlanBuilder crewed() {
        return new PlanBuilder()
                .task("A", 10)
                .task("B", 10)
                .link("A", "B")
                .resource("crew", 100, Resource.Per.DAY)
                .resource("pipe", 5, Resource.Per.UNIT)
                .assign("A", "crew", 1)
                .assign("B", "crew", 2)
                .assign("A", "pipe", 20)
                .cost("C", "A", 700, 1, null);
    }

    @Test
    void scalingMoneyScalesAssignedResourcesToo() {
        assertThat(run(crewed().risk(scalesMoney("K", 2, "A"))).cost().risk()).containsOnly(1000 + 100 + 700);
        assertThat(run(crewed().risk(scalesMoney("K", 2, "project"))).cost().risk())
                .containsOnly(1000 + 2000 + 100 + 700);
        assertThat(run(crewed().risk(scalesMoney("K", 2, "C"))).cost().risk()).containsOnly(700);
    }

    @Test
    void aResourceMayBeStruckInItsRateOrInTheTimeOfTheWorkThatUsesIt() {
        assertThat(run(crewed().risk(scalesMoney("K", 1.5, "crew"))).cost().risk())
                .containsOnly(1500);
        Risk slower = threat("K", 1)
                .impact(Effect.SCALE_TIME, Draw.SHARED, new Shape.Fixed(2), Basis.FACTOR, "crew")
                .risk();
        assertThat(run(crewed().risk(slower)).duration()).containsOnly(40 * DAY);
        Plan amount = crewed().risk(addsMoney("K", 50, "crew")).build();
        assertThatThrownBy(() -> CompiledPlan.of(amount))
                .isInstanceOf(InvalidPlanException.class)
                .hasMessageContaining("a rate to scale");
    }

    @Test
    void addedTimeOnABranchSparesWorkFromWhichAPathLeadsBack() {
        PlanBuilder plan = new PlanBuilder()
                .branch("X", "W")
                .task("first", "X", "std", WorkDuration.days(5), null)
                .task("outside", 5)
                .task("last", "X", "std", WorkDuration.days(5), null)
                .link("first", "outside")
                .link("outside", "last")
                .risk(threat("K", 1).addsDays(new Shape.Fixed(4), "X").risk());
        assertThat(run(plan).duration()).containsOnly((15 + 4) * DAY);
    }

    @Test
    void aRateAYearOnWorkUnderWayRunsOverWhatRemains() {
        // 105 weeks lie behind it, and 52 working days ahead: ten weeks, a Monday and a Tuesday.
        Plan plan = new PlanBuilder()
                .task("A", 520)
                .actual("2027-03-01T08:00", null, "52d")
                .dataDate("2029-03-05T08:00")
                .risk(threat("K", 1)
                        .addsDays(new Shape.Fixed(1), "A")
                        .recurs(new Recurrence.PerYear(20, Optional.empty()))
                        .risk())
                .build();
        RunResult result =
                Simulation.run(CompiledPlan.of(plan), new RunSettings(20_000, 5, Sampling.PLAIN, 2), RunMonitor.NONE);
        double years = (10 * 7 + 1 + 9 / 24.0) / 365.25;
        double struck = Arrays.stream(result.duration()).average().orElse(0) / DAY - (525 + 52);
        assertThat(struck).isCloseTo(20 * years, within(4 * Math.sqrt(20 * years / 20_000)));
    }
}
