package app.tychon.cli;

import app.tychon.cli.Complaints.BadInputException;
import app.tychon.core.analysis.CorrelationReport;
import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.exchange.changes.Laid;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.exchange.table.IterationsCsv;
import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Simulates a project file and prints what came out. */
@Command(
        name = "simulate",
        mixinStandardHelpOptions = true,
        description = "Simulates a project file: percentiles of finish and cost, and what drives them.")
final class SimulateCommand implements Callable<Integer> {
    /** Which percentiles of activities are written. */
    enum Percentiles {
        FEW,
        ALL
    }

    /** Whose probabilities and impacts count. */
    enum Responses {
        NONE(RiskSetting.CURRENT),
        ALL(RiskSetting.AFTER_RESPONSE);

        private final RiskSetting setting;

        Responses(RiskSetting setting) {
            this.setting = setting;
        }
    }

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "FILE",
            description =
                    "a project file, *.tychon.json, or a programme file, *.programme.json, beside those of its projects")
    private Path file;

    @Option(
            names = "--responses",
            paramLabel = "none|all",
            defaultValue = "none",
            description = "risks as they are (none, default), or after their responses, whose actions then cost money")
    private Responses responses;

    @Option(
            names = "--towards",
            paramLabel = "MILESTONE",
            description = "activities are critical towards this one; default: the project's finish")
    private String towards;

    @Option(names = "--json", paramLabel = "OUT", description = "writes all results")
    private Path json;

    @Option(
            names = "--percentiles",
            paramLabel = "few|all",
            defaultValue = "few",
            description = "of each activity in the JSON: 5, 10, 50, 80, 90 and 95 (few, default), or 1 to 99 (all)")
    private Percentiles percentiles;

    @Option(
            names = "--scenario",
            paramLabel = "NAME",
            description = "simulates a scenario of the file beside the plan, by the same random numbers, and compares;"
                    + " by id or name, again for each, or all")
    private List<String> scenarios = List.of();

    @Option(names = "--samples", paramLabel = "OUT.csv", description = "writes every iteration")
    private Path samples;

    @Mixin
    private HowMany howMany;

    @Override
    public Integer call() {
        return new Complaints(spec).exitCode(this::simulate);
    }

    private void simulate() throws IOException, BadInputException {
        try (Attended attended = Attended.of(howMany.iterations())) {
            RunSettings settings = howMany.settings();
            Plan plan = PlanFiles.read(file);
            long began = System.nanoTime();
            List<Scenario> wanted = ScenarioRun.wanted(plan, scenarios);
            CompiledPlan compiled = compiled(plan);
            RunResult result = Simulation.run(compiled, settings, attended);
            attended.simulated();
            Report report = report(plan, compiled, result, (System.nanoTime() - began) / 1e9);
            List<ScenarioRun> runs = new ArrayList<>();
            for (Scenario scenario : wanted) {
                runs.add(beside(scenario, plan, ScenarioOdds.of(compiled, result), result.settings()));
            }
            tell(report, runs);
        }
    }

    private CompiledPlan compiled(Plan plan) {
        CompiledPlan compiled = CompiledPlan.of(plan).with(Variation.CURRENT.withRisks(responses.setting));
        return towards == null ? compiled : compiled.towards(towards);
    }

    /** A scenario, by as many futures as the plan has been simulated with. */
    private ScenarioRun beside(Scenario scenario, Plan plan, ScenarioOdds base, RunSettings settings) {
        long began = System.nanoTime();
        Laid laid = ScenarioPlan.of(plan, scenario);
        CompiledPlan compiled = compiled(laid.plan());
        RunSettings same = new RunSettings(base.iterations(), settings.seed(), settings.sampling(), settings.threads());
        RunResult result = Simulation.run(compiled, same, RunMonitor.NONE);
        return new ScenarioRun(
                scenario,
                report(laid.plan(), compiled, result, (System.nanoTime() - began) / 1e9),
                ScenarioOdds.of(compiled, result)
                        .from(base, plan.project().targets().level()),
                laid.misfits());
    }

    private static Report report(Plan plan, CompiledPlan compiled, RunResult result, double seconds) {
        Inputs inputs = Inputs.of(compiled);
        List<List<Driver>> drivers = Sensitivity.drivers(
                inputs,
                result.settings(),
                List.of(result.duration(), result.cost().totals()));
        List<CorrelationReport> correlations = CorrelationReport.of(
                compiled, result.settings(), Math.min(result.iterations(), Sensitivity.MOST_ITERATIONS));
        return new Report(plan, result, seconds, drivers.get(0), drivers.get(1), correlations);
    }

    private void tell(Report report, List<ScenarioRun> runs) throws IOException {
        spec.commandLine().getOut().print(new TextReport(report).text() + new ScenarioText(report, runs).text());
        spec.commandLine().getOut().flush();
        if (json != null) {
            JsonReport.write(report, runs, percentiles == Percentiles.ALL, json);
        }
        if (samples != null) {
            try (Writer writer = Files.newBufferedWriter(samples)) {
                IterationsCsv.write(report.result(), writer);
            }
        }
    }
}
