package app.tychon.core.scenario;

import app.tychon.core.analysis.Effect.Moved;
import app.tychon.core.analysis.JointSample;
import app.tychon.core.analysis.Sections;
import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Targets;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.CancellationException;

/**
 * What a scenario comes to. Two of the same seed and length share their random numbers, quantity by quantity, so that what
 * differs between them is what the scenarios differ in.
 *
 * @param plan        what was simulated
 * @param plannedCost without uncertainty, actions that are decided on included
 * @param finish      of the project in each future, instants
 * @param cost        likewise, money
 */
public record ScenarioOdds(
        Plan plan, double planFinish, double plannedCost, Outcomes outcomes, Sample finish, Sample cost) {

    /**
     * @param monitor may ask to stop
     * @param helpers may work at it too; they change no number
     * @throws CancellationException when stopped before all futures were simulated, or interrupted
     */
    public static ScenarioOdds of(CompiledPlan compiled, RunSettings settings, RunMonitor monitor, Helpers helpers) {
        Outcomes outcomes = Simulation.outcomes(compiled, settings, monitor, helpers);
        if (outcomes.finish().length < settings.iterations()) {
            throw new CancellationException("stopped before all futures were simulated");
        }
        return of(compiled, outcomes);
    }

    /** Of a run that is there already. */
    public static ScenarioOdds of(CompiledPlan compiled, RunResult run) {
        return of(compiled, run, run.iterations());
    }

    /** Of its first futures: those that a simulation of so many has. */
    public static ScenarioOdds of(CompiledPlan compiled, RunResult run, int iterations) {
        CostSamples cost = run.cost();
        return of(
                compiled,
                new Outcomes(
                        Arrays.copyOf(run.finish(), iterations),
                        Arrays.copyOf(run.duration(), iterations),
                        Arrays.copyOf(cost.totals(), iterations),
                        Arrays.copyOf(cost.risk(), iterations),
                        cost.planned() + cost.actions()));
    }

    private static ScenarioOdds of(CompiledPlan compiled, Outcomes outcomes) {
        Plan plan = compiled.network().plan();
        return new ScenarioOdds(
                plan,
                compiled.schedule().finish(),
                outcomes.certain(),
                outcomes,
                DateSample.of(outcomes.finish(), WorkingTimes.ofProject(plan)),
                Sample.of(outcomes.cost()));
    }

    public int iterations() {
        return outcomes.finish().length;
    }

    /** Chance that the target finish is kept; nothing where there is none. */
    public Optional<Double> finishChance() {
        return targets().finish().map(date -> finish.chance(Instants.of(date)));
    }

    /** Chance that the budget is kept. */
    public Optional<Double> costChance() {
        return targets().cost().map(cost::chance);
    }

    /** Chance that both are kept in the same future. */
    public Optional<Double> jointChance() {
        return targets().finish().flatMap(date -> targets().cost().map(budget -> JointSample.of(
                        outcomes.finish(), outcomes.cost())
                .chance(Instants.of(date), budget)));
    }

    private Targets targets() {
        return plan.project().targets();
    }

    /**
     * How far it lies from another one.
     *
     * @param duration at the level, working minutes of the project calendar
     * @param cost     at the level, money
     * @param now      what is planned to be spent more than in the other, before anything happens
     * @param later    share of futures that finish later than in the other, 0 to 1
     * @param sooner   share that finish sooner
     */
    public record Gap(Moved duration, Moved cost, double now, double later, double sooner) {}

    /**
     * What differs from another scenario, future by future.
     *
     * @param level 0 to 1
     * @throws IllegalArgumentException unless both have as many futures
     */
    public Gap from(ScenarioOdds base, double level) {
        if (base.iterations() != iterations()) {
            throw new IllegalArgumentException(
                    "they have " + iterations() + " and " + base.iterations() + " futures, which cannot be compared");
        }
        int later = 0;
        int sooner = 0;
        for (int i = 0; i < iterations(); i++) {
            double change = outcomes.finish()[i] - base.outcomes.finish()[i];
            later += change > 0 ? 1 : 0;
            sooner += change < 0 ? 1 : 0;
        }
        return new Gap(
                Sections.moved(base.outcomes.duration(), outcomes.duration(), level),
                Sections.moved(base.outcomes.cost(), outcomes.cost(), level),
                plannedCost - base.plannedCost,
                later / (double) iterations(),
                sooner / (double) iterations());
    }
}
