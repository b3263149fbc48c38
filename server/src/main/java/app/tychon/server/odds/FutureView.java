package app.tychon.server.odds;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.simulation.Replay;
import app.tychon.core.simulation.Replay.ReplayedActivity;
import app.tychon.core.simulation.engine.CompiledPlan;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * One simulated future, worked out again in full, beside the plan.
 *
 * @param number counts the futures of the run from 1
 * @param of how many there are
 * @param finishChance 0 to 1, of finishing by then
 * @param costChance 0 to 1, of costing that or less
 * @param struck risks that happened
 * @param path the activities that drove the finish, from the first to the last
 */
record FutureView(
        int number,
        int of,
        LocalDateTime finish,
        LocalDateTime planFinish,
        double finishChance,
        double cost,
        double planCost,
        double costChance,
        MoneyView money,
        List<RowView> rows,
        List<StruckView> struck,
        List<String> path) {

    /** What makes this future cost more or less than the plan: estimates, time, risks, responses. */
    record MoneyView(double spread, double timeDriven, double risk, double actions) {}

    /**
     * An activity in this future and as planned.
     *
     * @param days its duration in this future, in days of its calendar
     * @param drove whether it lay on a longest path
     */
    record RowView(
            String id,
            String name,
            String kind,
            LocalDateTime planStart,
            LocalDateTime planFinish,
            LocalDateTime start,
            LocalDateTime finish,
            double planDays,
            double days,
            boolean drove) {}

    /** @param times how often it happened */
    record StruckView(String id, String title, String kind, int times) {}

    static FutureView of(Opened run, int iteration) {
        CompiledPlan compiled = run.compiled();
        Plan plan = run.plan();
        Replay replay = run.calculate(
                1, (ready, monitor) -> Replay.of(ready, run.result().settings(), iteration));
        Map<String, Risk> risks = plan.risks().stream().collect(Collectors.toMap(Risk::id, Function.identity()));
        double cost = replay.cost().total();
        return new FutureView(
                iteration + 1,
                run.result().iterations(),
                Instants.toCivil(replay.finish()),
                Instants.toCivil(run.result().planFinish()),
                run.finish().chance(replay.finish()),
                cost,
                run.result().cost().planned(),
                run.cost().chance(cost),
                new MoneyView(
                        replay.cost().spread(),
                        replay.cost().timeDriven(),
                        replay.cost().risk(),
                        replay.cost().actions()),
                rows(compiled, replay),
                replay.risks().stream()
                        .map(struck -> new StruckView(
                                struck.id(),
                                risks.get(struck.id()).title(),
                                risks.get(struck.id()).kind().name().toLowerCase(Locale.ROOT),
                                struck.times()))
                        .toList(),
                replay.path());
    }

    private static List<RowView> rows(CompiledPlan compiled, Replay replay) {
        Plan plan = compiled.network().plan();
        List<ScheduledActivity> planned = compiled.schedule().activities();
        return IntStream.range(0, plan.activities().size())
                .mapToObj(i -> {
                    Activity activity = plan.activities().get(i);
                    ReplayedActivity now = replay.activities().get(i);
                    ScheduledActivity then = planned.get(i);
                    int position = compiled.network().position(activity.id());
                    double day = activity.minutesPerDay(compiled.network().calendar(position));
                    return new RowView(
                            activity.id(),
                            activity.name(),
                            activity.kind().name().toLowerCase(Locale.ROOT),
                            Instants.toCivil(then.earlyStart()),
                            Instants.toCivil(then.earlyFinish()),
                            Instants.toCivil(now.start()),
                            Instants.toCivil(now.finish()),
                            compiled.network().planned(position) / day,
                            now.duration() / day,
                            now.critical());
                })
                .toList();
    }
}
