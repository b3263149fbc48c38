package app.tychon.server.scenarios;

import app.tychon.core.model.Action;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.BestSets;
import app.tychon.core.scenario.BestSets.Best;
import app.tychon.core.scenario.BestSets.Found;
import app.tychon.core.scenario.BestSets.Goal;
import app.tychon.core.scenario.BestSets.Others;
import app.tychon.core.scenario.BestSets.Tried;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.pool.JobState;
import app.tychon.server.scenarios.FundView.BestSet;
import app.tychon.server.scenarios.FundView.OptionGain;
import app.tychon.server.scenarios.FundView.OptionRow;
import app.tychon.server.scenarios.FundView.TriedSet;
import app.tychon.server.scenarios.ScenariosView.ScenarioNumbers;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The question what to fund, of one version of a plan, and its answer as far as it is known. */
final class Funding {
    /** Activities times futures times sets that an answer may take: of more, it rests on fewer futures. */
    private static final long MOST_WORK = 120_000_000;

    private static final int ROUND = 500;
    /** Best sets of which every number is worked out. */
    private static final int MOST_NUMBERS = 40;

    /**
     * What is asked; two that ask the same share the answer.
     *
     * @param scenarios ids of those that are options beside responses
     */
    record Question(Goal goal, int level, Set<String> scenarios) {}

    private final LoadedPlan loaded;
    private final Question question;
    private final List<Scenario> scenarios;
    private final RunSettings settings;
    private final Map<Set<String>, ScenarioNumbers> numbers = new HashMap<>();
    private List<OptionRow> options = List.of();
    private volatile boolean stopped;
    private JobState state = JobState.WORKING;
    private Found found = new Found(List.of(), List.of(), 0, false);
    private String refusal;

    Funding(LoadedPlan loaded, Question question) {
        this.loaded = loaded;
        this.question = question;
        scenarios = loaded.plan().scenarios().stream()
                .filter(one -> question.scenarios().contains(one.id()) && !one.putAway())
                .toList();
        long activities = Math.max(1, loaded.plan().activities().size());
        long sets = BestSets.sets(BestSets.responses(loaded.plan()).size() + scenarios.size());
        long futures = MOST_WORK / (activities * sets) / ROUND * ROUND;
        settings = Outlook.settings((int) Math.min(Outlook.REFINED, Math.max(LiveOdds.FIRST, futures)));
    }

    boolean isOf(LoadedPlan other) {
        return other.network() == loaded.network();
    }

    int iterations() {
        return settings.iterations();
    }

    synchronized void stop() {
        stopped = true;
        if (state == JobState.WORKING) {
            state = JobState.STOPPED;
        }
    }

    boolean isStopped() {
        return stopped;
    }

    synchronized void refuse(String why) {
        refusal = why;
        state = JobState.REFUSED;
    }

    private synchronized void take(Found now) {
        found = now;
    }

    private synchronized void options(List<OptionRow> now) {
        options = now;
    }

    private synchronized void end() {
        if (state == JobState.WORKING) {
            state = JobState.DONE;
        }
    }

    /** Works it out; what is known can be read meanwhile. */
    void work(RunMonitor monitor, Helpers helpers) {
        CompiledPlan plan = CompiledPlan.of(loaded.network(), loaded.schedule());
        Map<String, Double> costs = new LinkedHashMap<>();
        scenarios.forEach(one ->
                costs.put(one.id(), LoadedPlan.of(0, laid(Set.of(one.id()))).cost() - loaded.cost()));
        options(Stream.concat(
                        BestSets.responses(loaded.plan()).entrySet().stream()
                                .map(one -> response(one.getKey(), one.getValue())),
                        scenarios.stream()
                                .map(one -> new OptionRow(
                                        one.id(), "scenario", one.name(), "estimate", one.note(), costs.get(one.id()))))
                .toList());
        Others others = new Others(costs, some -> compiled(laid(some)));
        take(BestSets.of(
                plan, others, settings, question.goal(), question.level() / 100.0, monitor, helpers, this::take));
        for (Best best : found.best().stream().limit(MOST_NUMBERS).toList()) {
            ScenarioNumbers its = numbers(plan, best.options(), monitor, helpers);
            synchronized (this) {
                numbers.put(best.options(), its);
            }
        }
        end();
    }

    private OptionRow response(String id, double cost) {
        Risk risk = loaded.plan().risks().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
        return new OptionRow(
                id,
                "response",
                risk.title(),
                risk.kind().name().toLowerCase(Locale.ROOT),
                risk.response().map(Response::keptActions).orElse(List.of()).stream()
                        .map(Action::name)
                        .collect(Collectors.joining("; ")),
                cost);
    }

    /** The plan with some scenarios laid over it, one after the other. */
    private Plan laid(Set<String> some) {
        Plan plan = loaded.plan();
        for (Scenario one : scenarios) {
            if (some.contains(one.id())) {
                plan = ScenarioPlan.of(plan, one).plan();
            }
        }
        return plan;
    }

    private static CompiledPlan compiled(Plan plan) {
        Network network = Network.of(plan);
        return CompiledPlan.of(network, Scheduler.schedule(network));
    }

    private ScenarioNumbers numbers(CompiledPlan plan, Set<String> set, RunMonitor monitor, Helpers helpers) {
        Set<String> some = new HashSet<>(set);
        some.retainAll(scenarios.stream().map(Scenario::id).toList());
        CompiledPlan base = some.isEmpty() ? plan : compiled(laid(some));
        Variation variation = base.variation();
        for (String option : set) {
            if (!some.contains(option)) {
                variation = variation.withRisk(option, RiskSetting.AFTER_RESPONSE);
            }
        }
        return ScenarioNumbers.of(
                ScenarioOdds.of(base.with(variation), settings, monitor.quiet(), helpers),
                question.level() / 100.0,
                true);
    }

    synchronized FundView view(long revision) {
        List<String> ids = options.stream().map(OptionRow::id).toList();
        Map<Set<String>, Double> gains = new HashMap<>();
        double none = found.tried().stream()
                .filter(one -> one.options().isEmpty())
                .mapToDouble(Tried::value)
                .findFirst()
                .orElse(0);
        found.tried().forEach(one -> gains.put(one.options(), gain(one.value() - none)));
        return new FundView(
                revision,
                state,
                question.goal().name().toLowerCase(Locale.ROOT),
                question.level(),
                settings.iterations(),
                found.expected(),
                found.complete(),
                options,
                found.tried().stream().map(one -> tried(one, ids, gains)).toList(),
                found.best().stream().map(one -> best(one, ids, gains)).toList(),
                refusal);
    }

    private static TriedSet tried(Tried one, List<String> ids, Map<Set<String>, Double> gains) {
        return new TriedSet(
                one.options().stream().map(ids::indexOf).sorted().toList(), one.cost(), gains.get(one.options()));
    }

    private BestSet best(Best one, List<String> ids, Map<Set<String>, Double> gains) {
        List<OptionGain> without = new ArrayList<>();
        List<OptionGain> more = new ArrayList<>();
        double own = gains.get(one.options());
        for (String id : ids) {
            Set<String> other = new TreeSet<>(one.options());
            boolean has = other.remove(id);
            if (!has) {
                other.add(id);
            }
            Double its = gains.get(other);
            if (its != null) {
                (has ? without : more).add(new OptionGain(id, has ? own - its : its - own));
            }
        }
        return new BestSet(
                one.options().stream().sorted().toList(),
                one.cost(),
                own,
                Double.isNaN(one.gap()) ? null : -gain(one.gap()),
                numbers.get(one.options()),
                without,
                more);
    }

    /** What is gained by a change of the goal's value, in the unit in which it is told. */
    private double gain(double change) {
        double day = loaded.plan().projectCalendar().hoursPerDay() * 60;
        double gain = -change / (question.goal() == Goal.FINISH ? day : 1);
        return gain == 0 ? 0 : gain;
    }
}
