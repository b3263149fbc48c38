package app.tychon.server.programmes;

import app.tychon.core.analysis.ResourceLoad;
import app.tychon.core.programme.MemberFutures;
import app.tychon.core.programme.Programme;
import app.tychon.core.programme.Tie;
import app.tychon.core.schedule.Frame;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.DateSample;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * What each tie of a programme costs: by how much it moves the project that it moves most, at the programme's level of
 * confidence, all else being the same futures; or how often a shared resource is wanted by more than there are.
 */
@Service
class TieWorths {
    private static final int MOST_MONTHS = 3;
    private static final int MOST_KNOWN = 20;

    private final Programmes programmes;
    private final PlanStore plans;
    private final EnginePool pool;
    private final Map<UUID, Known> known = Collections.synchronizedMap(new Recent<>(MOST_KNOWN));

    TieWorths(Programmes programmes, PlanStore plans, EnginePool pool) {
        this.programmes = programmes;
        this.plans = plans;
        this.pool = pool;
    }

    /**
     * What a tie costs.
     *
     * @param moves code of the project that it moves most; absent where it moves none
     * @param days working days of that project
     * @param overbooked share of futures in which a shared resource is wanted by more than there are
     * @param months those in which that is likeliest, the likeliest first
     */
    record TieWorth(
            String tie,
            @Nullable String moves,
            @Nullable Double days,
            @Nullable Double overbooked,
            @Nullable List<LocalDate> months) {}

    /** Of a plan and what ties it: a shared resource puts off nothing, so the plan is the same with it and without. */
    private record Known(long revision, List<Tie> ties, List<TieWorth> worths) {}

    List<TieWorth> of(UUID programme) {
        LoadedPlan plan = plans.find(programme);
        if (plan.plan().parts().isEmpty()) {
            return List.of();
        }
        List<Tie> ties = programmes.ties(programme);
        Known before = known.get(programme);
        if (before != null
                && before.revision() == plan.revision()
                && before.ties().equals(ties)) {
            return before.worths();
        }
        Assembled whole = Assembled.lenient(programmes.programme(programme));
        RunSettings settings = Outlook.settings(LiveOdds.FIRST);
        List<TieWorth> worths = pool.await(
                Urgency.AWAITED,
                "ties of " + programme,
                RunNeeds.of(plan.plan(), settings).bytes(),
                monitor -> worths(whole, settings, monitor));
        known.put(programme, new Known(plan.revision(), ties, worths));
        return worths;
    }

    private static List<TieWorth> worths(Assembled whole, RunSettings settings, RunMonitor monitor) {
        Programme programme = whole.programme();
        CompiledPlan compiled = CompiledPlan.of(whole.plan());
        double level = programme.targets().level();
        Map<String, Double> with = finishes(compiled, settings, level, monitor);
        List<TieWorth> worths = new ArrayList<>();
        for (Tie tie : programme.ties()) {
            worths.add(
                    tie instanceof Tie.SharedResource shared
                            ? overbooked(shared, compiled, settings, monitor)
                            : moved(tie, programme, with, settings, level, monitor));
        }
        return worths;
    }

    private static TieWorth moved(
            Tie tie,
            Programme programme,
            Map<String, Double> with,
            RunSettings settings,
            double level,
            RunMonitor monitor) {
        Programme without = programme.tiedBy(one -> one != tie);
        Map<String, Double> free = finishes(CompiledPlan.of(Assembled.whole(without)), settings, level, monitor);
        return with.keySet().stream()
                .map(code -> new TieWorth(tie.id(), code, with.get(code) - free.get(code), null, null))
                .max(Comparator.comparing(worth -> Math.abs(worth.days())))
                .orElseThrow();
    }

    /** The finish of each project at a level, in its own working days. */
    private static Map<String, Double> finishes(
            CompiledPlan compiled, RunSettings settings, double level, RunMonitor monitor) {
        RunResult result = Simulation.run(compiled, settings, monitor);
        Map<String, Double> days = new HashMap<>();
        for (MemberFutures member : MemberFutures.of(compiled, result, monitor)) {
            Frame frame = compiled.network().frame(member.part().root());
            double finish = DateSample.of(member.finish(), frame.time()).percentile(level);
            days.put(member.part().code(), frame.work(finish) / frame.day());
        }
        return days;
    }

    private static TieWorth overbooked(
            Tie.SharedResource shared, CompiledPlan compiled, RunSettings settings, RunMonitor monitor) {
        boolean used = compiled.network().plan().assignments().stream()
                .anyMatch(one -> shared.resources().contains(one.resource()) && one.units() > 0);
        if (!used) {
            return new TieWorth(shared.id(), null, null, 0.0, List.of());
        }
        ResourceLoad load = ResourceLoad.of(compiled, settings, shared.resources(), Period.MONTH, monitor);
        List<Integer> periods = new ArrayList<>();
        for (int p = 0; p < load.starts().size(); p++) {
            if (load.exceeded(shared.limit(), p) > 0) {
                periods.add(p);
            }
        }
        return new TieWorth(
                shared.id(),
                null,
                null,
                load.everExceeded(shared.limit()),
                periods.stream()
                        .sorted(Comparator.comparing((Integer p) -> -load.exceeded(shared.limit(), p)))
                        .limit(MOST_MONTHS)
                        .map(p -> load.starts().get(p))
                        .toList());
    }
}
