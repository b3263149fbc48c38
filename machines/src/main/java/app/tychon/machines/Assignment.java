package app.tychon.machines;

import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;

/**
 * A task as workers need to know it.
 *
 * @param run names it among all machines
 * @param plan digest of the plan's file
 * @param details {@link Details}, as JSON
 */
record Assignment(String run, String plan, String details) {
    private static final ObjectMapper JSON = new ObjectMapper();

    /**
     * All of a task but its plan.
     *
     * @param towards id of what it aims at; empty for the project
     * @param variation in which the plan is simulated
     */
    private record Details(
            int iterations,
            long seed,
            Sampling sampling,
            Task.Wanted wanted,
            String towards,
            Variation variation,
            List<Variation> asked) {}

    static Assignment of(String run, String plan, Task task) {
        RunSettings settings = task.settings();
        CompiledPlan compiled = task.plan();
        int target = compiled.target();
        Details details = new Details(
                settings.iterations(),
                settings.seed(),
                settings.sampling(),
                task.wanted(),
                target == CriticalTrace.PROJECT
                        ? ""
                        : compiled.network().activity(target).id(),
                compiled.variation(),
                task.asked());
        try {
            return new Assignment(run, plan, JSON.writeValueAsString(details));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("this cannot be told to other machines: " + task, e);
        }
    }

    /**
     * The task, of the plan as it was compiled here.
     *
     * @throws IllegalArgumentException where the details are none
     */
    Task task(CompiledPlan compiled) {
        try {
            Details of = JSON.readValue(details, Details.class);
            CompiledPlan varied = compiled.with(of.variation());
            CompiledPlan aimed = of.towards().isEmpty() ? varied : varied.towards(of.towards());
            RunSettings settings = new RunSettings(of.iterations(), of.seed(), of.sampling(), 1);
            return new Task(aimed, settings, of.wanted(), of.asked());
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("this is no task: " + details, e);
        }
    }
}
