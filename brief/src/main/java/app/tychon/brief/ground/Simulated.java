package app.tychon.brief.ground;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.exchange.changes.ScenarioPlan;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** A plan that was simulated just now, of which no run is on record. */
public final class Simulated implements Ground {
    private final Plan plan;
    private final Optional<Scenario> scenario;
    private final CompiledPlan compiled;
    private final RunResult result;
    private final LocalDateTime now;
    private final Map<Object, Object> answers = new HashMap<>();

    private Simulated(
            Plan plan, Optional<Scenario> scenario, CompiledPlan compiled, RunResult result, LocalDateTime now) {
        this.plan = plan;
        this.scenario = scenario;
        this.compiled = compiled;
        this.result = result;
        this.now = now;
    }

    /**
     * @param scenario of the plan that is simulated instead of the plan itself
     * @param now      when
     * @throws java.util.concurrent.CancellationException when stopped before anything was done
     */
    public static Simulated of(
            Plan plan, Optional<Scenario> scenario, RunSettings settings, RunMonitor monitor, LocalDateTime now) {
        Plan laid = scenario.map(one -> laid(plan, one)).orElse(plan);
        CompiledPlan compiled = CompiledPlan.of(laid);
        return new Simulated(laid, scenario, compiled, Simulation.run(compiled, settings, monitor), now);
    }

    /** A plan as a scenario of it has it, with the scenarios of the plan beside it. */
    public static Plan laid(Plan plan, Scenario scenario) {
        return ScenarioPlan.of(plan, scenario).plan().withScenarios(plan.scenarios());
    }

    @Override
    public Run run() {
        return new Run(0, "", now);
    }

    @Override
    public Optional<Scenario> scenario() {
        return scenario;
    }

    @Override
    public Plan plan() {
        return plan;
    }

    @Override
    public RunResult result() {
        return result;
    }

    @Override
    public CompiledPlan compiled() {
        return compiled;
    }

    @Override
    public List<Run> earlier() {
        return List.of();
    }

    @Override
    public Optional<Past> past(int number) {
        return Optional.empty();
    }

    @Override
    @SuppressWarnings("unchecked")
    public <T> T once(Object question, int iterations, BiFunction<CompiledPlan, RunMonitor, T> work) {
        Object known = answers.get(question);
        if (known == null) {
            known = work.apply(compiled, RunMonitor.NONE);
            answers.put(question, known);
        }
        return (T) known;
    }
}
