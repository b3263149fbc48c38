package app.tychon.server.standings;

import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.analysis.check.CostCheck;
import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Targets;
import app.tychon.core.programme.MemberFutures;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.schedule.check.PlanCheck;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import app.tychon.core.uncertainty.check.RangeCheck;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/** Works out where a project stands, by a short simulation; of a programme, where each of its projects does in the same futures. */
final class StandingOf {
    private static final double[] TENTHS = {0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95};
    /** Of a project; more would be a plan and no list. */
    private static final int MOST_MILESTONES = 40;

    private final LoadedPlan loaded;
    private final Map<String, Targets> targets;
    private final CompiledPlan compiled;
    private final RunResult result;
    /** Percentiles 1 to 99, by id. */
    private final Map<String, double[]> finishes;

    private StandingOf(LoadedPlan loaded, Map<String, Targets> targets, RunMonitor monitor) {
        this.loaded = loaded;
        this.targets = targets;
        RunSettings settings = Outlook.settings(LiveOdds.FIRST);
        compiled = CompiledPlan.of(loaded.network(), loaded.schedule());
        result = Simulation.run(compiled, settings, monitor);
        if (result.iterations() < settings.iterations()) {
            throw new CancellationException("stopped before all futures were simulated");
        }
        finishes = result.activities().stream().collect(Collectors.toMap(ActivityResult::id, ActivityResult::finish));
    }

    /** @param targets of the projects of a programme, by code */
    static Standing of(LoadedPlan loaded, Map<String, Targets> targets, RunMonitor monitor) {
        return new StandingOf(loaded, targets, monitor).standing(monitor);
    }

    private Standing standing(RunMonitor monitor) {
        Plan plan = loaded.plan();
        List<MemberFutures> members = MemberFutures.of(compiled, result, monitor);
        List<double[]> finishes = new ArrayList<>(List.of(result.finish()));
        members.forEach(member -> finishes.add(member.finish()));
        List<List<Driver>> drivers = Sensitivity.drivers(Inputs.of(compiled), result.settings(), finishes);
        List<Standing> parts = new ArrayList<>();
        for (int i = 0; i < members.size(); i++) {
            parts.add(part(members.get(i), drivers.get(i + 1)));
        }
        return standing(
                null,
                plan.project().targets(),
                compiled.network().projectTime(),
                result.finish(),
                result.planFinish(),
                result.hasMoney() ? result.cost().totals() : new double[0],
                loaded.cost(),
                driver(drivers.get(0)),
                findings(),
                members.isEmpty() ? milestones("", plan.project().targets().level()) : List.of(),
                parts);
    }

    /**
     * Those whose codes begin so.
     *
     * @param level at which their dates are told, 0 to 1
     */
    private List<MilestoneReach> milestones(String prefix, double level) {
        return loaded.schedule().activities().stream()
                .filter(one -> one.id().startsWith(prefix))
                .filter(one -> activity(one).isMilestone())
                .sorted(Comparator.comparingDouble(ScheduledActivity::earlyFinish))
                .limit(MOST_MILESTONES)
                .map(one -> milestone(activity(one).name(), one.earlyFinish(), finishes.get(one.id()), level))
                .toList();
    }

    private Activity activity(ScheduledActivity one) {
        return compiled.network().activity(compiled.network().position(one.id()));
    }

    /** @param percentiles 1 to 99 of its date */
    private static MilestoneReach milestone(String name, double planned, double[] percentiles, double level) {
        return new MilestoneReach(
                name,
                new Reach<>(
                        Instants.toCivil(planned),
                        null,
                        null,
                        at(percentiles, level),
                        DoubleStream.of(TENTHS)
                                .mapToObj(chance -> at(percentiles, chance))
                                .toList()));
    }

    private static LocalDateTime at(double[] percentiles, double chance) {
        return Instants.toCivil(percentiles[(int) Math.round(100 * chance) - 1]);
    }

    private Standing part(MemberFutures member, List<Driver> drivers) {
        Part part = member.part();
        Targets promised = targets.getOrDefault(part.code(), Targets.NONE);
        double planned = loaded.schedule().activities().stream()
                .filter(one -> one.id().startsWith(part.prefix()))
                .filter(one -> !compiled.network().isHammock(compiled.network().position(one.id())))
                .mapToDouble(ScheduledActivity::earlyFinish)
                .max()
                .orElse(Instants.of(part.start()));
        double money = member.decided()
                + loaded.items().stream()
                        .filter(item -> item.id().startsWith(part.prefix()))
                        .mapToDouble(CostItem::plannedCost)
                        .sum();
        return standing(
                part.code(),
                promised,
                compiled.network().frame(part.root()).time(),
                member.finish(),
                planned,
                member.cost(),
                money,
                driver(drivers),
                0,
                milestones(part.prefix(), promised.level()),
                List.of());
    }

    private Standing standing(
            String code,
            Targets promised,
            WorkingTime time,
            double[] finish,
            double planFinish,
            double[] cost,
            double planCost,
            Optional<String> driver,
            int findings,
            List<MilestoneReach> milestones,
            List<Standing> parts) {
        double level = promised.level();
        boolean money = planCost != 0 || Arrays.stream(cost).anyMatch(one -> one != 0);
        return new Standing(
                code,
                promised.confidence(),
                heading(
                        DateSample.of(finish, time),
                        level,
                        planFinish,
                        promised.finish().map(Instants::of),
                        Instants::toCivil),
                money ? heading(Sample.of(cost), level, planCost, promised.cost(), one -> one) : null,
                loaded.plan().project().currency(),
                driver.orElse(null),
                findings,
                milestones,
                parts);
    }

    private static <V> Reach<V> heading(
            Sample sample, double level, double plan, Optional<Double> target, DoubleFunction<V> tell) {
        return new Reach<>(
                tell.apply(plan),
                target.map(tell::apply).orElse(null),
                target.map(sample::chance).orElse(null),
                tell.apply(sample.percentile(level)),
                DoubleStream.of(TENTHS)
                        .mapToObj(at -> tell.apply(sample.percentile(at)))
                        .toList());
    }

    private static Optional<String> driver(List<Driver> drivers) {
        return drivers.stream()
                .filter(driver -> driver.spearman().isPresent())
                .findFirst()
                .map(driver -> driver.input().name());
    }

    /** Findings of the checks that nobody has accepted. */
    private int findings() {
        Plan plan = loaded.plan();
        return (int) (PlanCheck.of(loaded.network(), loaded.schedule()).stream()
                        .filter(one -> one.accepted().isEmpty())
                        .count()
                + RangeCheck.of(plan).stream()
                        .filter(one -> one.accepted().isEmpty())
                        .count()
                + CostCheck.of(loaded.network(), loaded.schedule()).stream()
                        .filter(one -> one.accepted().isEmpty())
                        .count());
    }
}
