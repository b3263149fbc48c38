package app.tychon.server.effects;

import app.tychon.core.analysis.Effect;
import app.tychon.core.register.check.RiskCheck.Worth;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.server.check.ResponseWorths;
import app.tychon.server.effects.EffectsView.RiskRow;
import app.tychon.server.effects.EffectsView.State;
import app.tychon.server.effects.RiskQuestions.Question;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.machines.Machines;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanChangedElsewhere;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Works out what each risk moves, in the background, when somebody asks; tells of more exact numbers while they come, the
 * strongest first. A newer plan puts an end to it.
 */
@Service
class RiskEffects implements ResponseWorths {
    /** The same futures that first odds are made of. */
    static final int TOTAL = LiveOdds.FIRST;

    private static final int MOST_KEPT = 20;
    private static final Logger LOG = LoggerFactory.getLogger(RiskEffects.class);

    private final PlanStore plans;
    private final ProjectEvents events;
    private final EnginePool pool;
    private final Machines machines;
    private final Map<UUID, EffectsView> known = Collections.synchronizedMap(new Recent<>(MOST_KEPT));
    /** The newest revision of each project of which somebody has asked for effects. */
    private final Map<UUID, Long> wanted = new ConcurrentHashMap<>();

    RiskEffects(PlanStore plans, ProjectEvents events, EnginePool pool, Machines machines) {
        this.machines = machines;
        this.plans = plans;
        this.events = events;
        this.pool = pool;
    }

    /** What is known of the plan as it is; where that is nothing, it is begun. */
    EffectsView now(UUID project) {
        LoadedPlan plan = plans.find(project);
        EffectsView view = known.get(project);
        if (view != null && view.revision() == plan.revision()) {
            return view;
        }
        Map<Question, Variation> questions = RiskQuestions.of(plan.plan());
        EffectsView none = RiskQuestions.view(plan, questions.isEmpty() ? State.DONE : State.WORKING, TOTAL, List.of());
        known.put(project, none);
        if (!questions.isEmpty()) {
            begin(project, plan, questions);
        }
        return none;
    }

    @Override
    public Map<String, Worth> of(UUID project) {
        EffectsView view = known.get(project);
        if (view == null
                || view.state() != State.DONE
                || view.revision() != plans.find(project).revision()) {
            return Map.of();
        }
        return view.rows().stream()
                .filter(row -> row.response() != null)
                .collect(Collectors.toMap(
                        RiskRow::risk,
                        row -> new Worth(row.response().days(), row.response().money())));
    }

    /** What is under way of an older plan stops; the newer one's effects are worked out when somebody asks. */
    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        wanted.computeIfPresent(
                change.project(),
                (project, revision) -> Math.max(revision, change.plan().revision()));
    }

    @EventListener
    void planChanged(PlanChangedElsewhere change) {
        wanted.computeIfPresent(
                change.project(),
                (project, revision) -> Math.max(revision, plans.find(project).revision()));
    }

    private void begin(UUID project, LoadedPlan plan, Map<Question, Variation> questions) {
        wanted.put(project, plan.revision());
        RunSettings settings = Outlook.settings(TOTAL);
        long bytes = 2 * RunNeeds.of(plan.plan(), settings).bytes()
                + Math.min(Effect.AT_ONCE, questions.size()) * RunNeeds.ofVariation(plan.plan());
        try {
            pool.submit(Urgency.REFINEMENT, "effects of " + project, bytes, turns -> {
                work(
                        project,
                        plan,
                        questions,
                        settings,
                        pool.watched(turns, RunMonitor.until(() -> isOld(project, plan))));
                return null;
            });
        } catch (BusyException e) {
            tell(project, refused(plan, e.getMessage()));
        }
    }

    private void work(
            UUID project,
            LoadedPlan plan,
            Map<Question, Variation> questions,
            RunSettings settings,
            RunMonitor monitor) {
        try {
            CompiledPlan compiled = CompiledPlan.of(plan.network(), plan.schedule());
            double level = plan.plan().project().targets().level();
            List<Effect<Question>> effects = Effect.of(
                    compiled,
                    settings,
                    questions,
                    level,
                    monitor,
                    machines.helpers(new Machines.Work(project, "what the risks do")),
                    some -> tell(project, RiskQuestions.view(plan, State.WORKING, TOTAL, some)));
            if (!isOld(project, plan)) {
                tell(project, RiskQuestions.view(plan, State.DONE, TOTAL, effects));
            }
        } catch (CancellationException newer) {
            LOG.debug("Effects of risks of {} gave way to a newer edit", project);
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("Effects of risks of {} failed", project, e);
            String why = "what the risks do could not be worked out; the plan itself is safe";
            tell(project, refused(plan, why));
        }
    }

    private static EffectsView refused(LoadedPlan plan, String why) {
        int level = plan.plan().project().targets().confidence();
        return new EffectsView(plan.revision(), State.REFUSED, level, 0, TOTAL, null, List.of(), why);
    }

    private void tell(UUID project, EffectsView view) {
        if (wanted.getOrDefault(project, 0L) <= view.revision()) {
            known.put(project, view);
            events.publishHere(project, "effects", view);
        }
    }

    private boolean isOld(UUID project, LoadedPlan plan) {
        return wanted.getOrDefault(project, 0L) > plan.revision();
    }
}
