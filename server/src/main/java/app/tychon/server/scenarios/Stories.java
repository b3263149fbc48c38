package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.scenarios.ScenariosView.GapView;
import app.tychon.server.scenarios.ScenariosView.ScenarioNumbers;
import app.tychon.server.scenarios.StoryView.StoryStep;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Tells cost against benefit as a story: scenarios in an order, each with what it adds to those before it. */
@Service
class Stories {
    private static final int MOST_STEPS = 12;
    private static final long MOST_WORK = 5_000_000;

    private final EnginePool pool;

    Stories(EnginePool pool) {
        this.pool = pool;
    }

    /** @throws IllegalArgumentException for more scenarios than a story can hold */
    StoryView tell(UUID project, LoadedPlan loaded, List<String> order, int level) {
        if (order.size() > MOST_STEPS) {
            throw new IllegalArgumentException(
                    "order: a story has at most " + MOST_STEPS + " scenarios; these are " + order.size());
        }
        List<Scenario> scenarios =
                order.stream().map(id -> Workplaces.scenario(loaded.plan(), id)).toList();
        int activities = Math.max(1, loaded.plan().activities().size());
        int iterations = (int) Math.min(Outlook.REFINED, Math.max(LiveOdds.FIRST, MOST_WORK / activities));
        long bytes = RunNeeds.of(loaded.plan(), Outlook.settings(iterations)).bytes();
        return pool.await(
                Urgency.AWAITED,
                project,
                bytes,
                monitor -> story(loaded.plan(), scenarios, level, iterations, monitor));
    }

    private static StoryView story(Plan plan, List<Scenario> scenarios, int level, int iterations, RunMonitor monitor) {
        double share = level / 100.0;
        double day = plan.projectCalendar().hoursPerDay() * 60;
        ScenarioOdds own = odds(plan, iterations, monitor);
        List<StoryStep> steps = new ArrayList<>();
        Plan laid = plan;
        ScenarioOdds before = own;
        for (Scenario scenario : scenarios) {
            laid = ScenarioPlan.of(laid, scenario).plan();
            ScenarioOdds together = odds(laid, iterations, monitor);
            ScenarioOdds alone = steps.isEmpty()
                    ? together
                    : odds(ScenarioPlan.of(plan, scenario).plan(), iterations, monitor);
            steps.add(new StoryStep(
                    scenario.id(),
                    scenario.name(),
                    GapView.of(together.from(before, share), day),
                    GapView.of(alone.from(own, share), day),
                    ScenarioNumbers.of(together, share, true)));
            before = together;
        }
        return new StoryView(level, ScenarioNumbers.of(own, share, true), steps);
    }

    private static ScenarioOdds odds(Plan plan, int iterations, RunMonitor monitor) {
        return ScenarioOdds.of(CompiledPlan.of(plan), Outlook.settings(iterations), monitor.quiet(), Helpers.NONE);
    }
}
