package app.tychon.server.briefs;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Simulated;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.server.odds.Opened;
import app.tychon.server.runs.RecordedRun;
import app.tychon.server.runs.RunArchive;
import app.tychon.server.runs.RunView;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** A recorded run, or a scenario of its plan, that a brief tells of. All that is asked of it takes its turn in the pool. */
final class RunGround implements Ground {
    private final RunView run;
    private final List<RunView> others;
    private final Opened opened;
    private final RunArchive archive;
    private final Optional<Scenario> scenario;
    private final Instead instead;

    /** What was simulated: of a scenario something else than the run itself. */
    private record Instead(Plan plan, CompiledPlan compiled, RunResult result) {}

    private record Scened(Scenario scenario) {}

    private record Asked(Optional<Scenario> scenario, Object question) {}

    /** @param others all runs of the project that have results */
    RunGround(RunView run, List<RunView> others, Opened opened, RunArchive archive, Optional<Scenario> scenario) {
        this.run = run;
        this.others = others;
        this.opened = opened;
        this.archive = archive;
        this.scenario = scenario;
        instead = scenario.map(one -> opened.once(
                        new Scened(one),
                        () -> opened.calculate(
                                opened.result().iterations(), (plan, monitor) -> instead(one, plan, monitor))))
                .orElse(null);
    }

    private Instead instead(Scenario scenario, CompiledPlan compiled, RunMonitor monitor) {
        Plan plan = Simulated.laid(opened.plan(), scenario);
        Network network = Network.of(plan);
        CompiledPlan next = compiled.next(network, Scheduler.schedule(network));
        RunSettings own = opened.result().settings();
        RunSettings same = new RunSettings(opened.result().iterations(), own.seed(), own.sampling(), own.threads());
        return new Instead(plan, next, Simulation.run(next, same, monitor));
    }

    @Override
    public Run run() {
        return run(run);
    }

    private static Run run(RunView view) {
        return new Run(
                view.number(),
                view.name() == null ? "" : view.name(),
                LocalDateTime.ofInstant(view.startedAt(), ZoneOffset.UTC));
    }

    @Override
    public Optional<Scenario> scenario() {
        return scenario;
    }

    @Override
    public Plan plan() {
        return instead == null ? opened.plan() : instead.plan();
    }

    @Override
    public RunResult result() {
        return instead == null ? opened.result() : instead.result();
    }

    @Override
    public CompiledPlan compiled() {
        return instead == null ? opened.compiled() : instead.compiled();
    }

    @Override
    public List<Run> earlier() {
        return others.stream()
                .filter(other -> other.number() < run.number())
                .sorted((one, other) -> other.number() - one.number())
                .map(RunGround::run)
                .toList();
    }

    @Override
    public Optional<Past> past(int number) {
        return others.stream()
                .filter(other -> other.number() == number)
                .findFirst()
                .map(other -> {
                    RecordedRun past = archive.open(other.id());
                    return new Past(run(other), past.plan(), past.result());
                });
    }

    @Override
    public <T> T once(Object question, int iterations, BiFunction<CompiledPlan, RunMonitor, T> work) {
        return opened.once(
                new Asked(scenario, question),
                () -> opened.calculate(
                        iterations, (own, monitor) -> work.apply(instead == null ? own : instead.compiled(), monitor)));
    }
}
