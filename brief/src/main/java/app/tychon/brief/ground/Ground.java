package app.tychon.brief.ground;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** A simulation that a brief tells of, wherever it is kept. */
public interface Ground {
    /**
     * A recorded run.
     *
     * @param number   from 1 in its project; 0 for what was simulated just now and is on no record
     * @param name     empty where nobody has named it
     * @param recorded when
     */
    record Run(int number, String name, LocalDateTime recorded) {}

    /** An earlier run with what is compared of it. */
    record Past(Run run, Plan plan, RunResult result) {}

    Run run();

    /** The scenario of the run's plan that was simulated, where it was not the plan itself. */
    Optional<Scenario> scenario();

    /** What was simulated; scenarios and briefs are those of the run's plan. */
    Plan plan();

    RunResult result();

    CompiledPlan compiled();

    /** Earlier runs that have results, the latest first. */
    List<Run> earlier();

    /** An earlier run by its number. */
    Optional<Past> past(int number);

    /**
     * Calculates something, once for all that ask the same.
     *
     * @param question   equal for those that ask the same
     * @param iterations of how many futures it is, by which the room is measured that it needs
     */
    <T> T once(Object question, int iterations, BiFunction<CompiledPlan, RunMonitor, T> work);
}
