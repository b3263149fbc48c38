package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Shift;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.statistics.DateSample;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Results that are exact, not read off bins. */
class ExactnessTest {
    /** A value that repeats, and a rare one that no pilot shows: both once drew means from the middles of bins. */
    @Test
    void meansOfStartsAndFinishesAreExact() {
        Shape rare = new Shape.Discrete(List.of(new Shape.Point(10, 0.9), new Shape.Point(400, 0.1)));
        PlanBuilder plan = new PlanBuilder()
                .task("A", 10, rare)
                .task("B", 3, new Shape.Uniform(2, 5))
                .link("A", "B");
        CompiledPlan compiled = CompiledPlan.of(plan.build());
        RunResult result = DecidedTest.run(compiled);
        for (String id : List.of("A", "B")) {
            Output all = Outputs.of(compiled, DecidedTest.SETTINGS, 1000, id, RunMonitor.NONE);
            assertThat(DecidedTest.of(result, id).meanStart())
                    .isCloseTo(Arrays.stream(all.start()).average().orElse(0), within(1e-5));
            assertThat(DecidedTest.of(result, id).meanFinish())
                    .isCloseTo(Arrays.stream(all.finish()).average().orElse(0), within(1e-5));
        }
    }

    @Test
    void watchedActivitiesHaveExactPercentiles() {
        Plan plan = new PlanBuilder()
                .task("A", 10, new Shape.Triangular(5, 10, 40))
                .last(a -> a.withWatch(true))
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        RunResult result = DecidedTest.run(compiled);
        Output kept = result.outputs().get(0);
        assertThat(DecidedTest.of(result, "A").finish())
                .containsExactly(DateSample.of(kept.finish(), compiled.network().projectTime())
                        .percentiles());
    }

    /** Round the clock, so that work starts and finishes at midnights. */
    @Test
    void aStartAtMidnightOfTheFirstBelongsToTheMonthThatBegins() {
        CalendarDefinition clock = new CalendarDefinition(
                "clock",
                "Round the clock",
                24,
                Arrays.stream(DayOfWeek.values()).collect(Collectors.toMap(d -> d, d -> List.of(new Shift(0, 1440)))),
                List.of());
        Plan plain = new PlanBuilder()
                .calendar(clock)
                .task("wait", "W", "clock", WorkDuration.parse("736h").orElseThrow(), null)
                .task("A", "W", "clock", WorkDuration.parse("24h").orElseThrow(), null)
                .link("wait", "A")
                .build();
        // From 1 March at 08:00 for 736 hours: the wait ends, and A starts, at midnight of 1 April.
        CompiledPlan plan = CompiledPlan.of(plain.withCosts(List.of(
                CostLine.of("S", "Fee", "A", 100).withTiming(CostTiming.START),
                CostLine.of("F", "Fee", "wait", 7).withTiming(CostTiming.FINISH))));
        assertThat(CashFlow.of(plan, DecidedTest.run(plan), Period.MONTH).planned())
                .containsExactly(7, 100);
    }
}
