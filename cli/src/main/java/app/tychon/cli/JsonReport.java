package app.tychon.cli;

import app.tychon.core.analysis.CorrelationReport;
import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Effect.Moved;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.result.RunResult.DrivingPath;
import app.tychon.core.statistics.Sample;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** All results as JSON, in the form that {@code docs/command-line.md} describes. */
final class JsonReport {
    private static final int HIGHEST = 99;
    private static final int MOST_PATHS = 10;

    /** Percentiles of an activity that are written unless all are asked for. */
    private static final int[] FEW = {5, 10, 50, 80, 90, 95};

    private final Report report;
    private final int[] ofActivities;

    private JsonReport(Report report, int[] ofActivities) {
        this.report = report;
        this.ofActivities = ofActivities;
    }

    /** @param everyPercentile of each activity, not {@link #FEW} of them; of the project every one is written anyway */
    static void write(Report report, List<ScenarioRun> scenarios, boolean everyPercentile, Path file)
            throws IOException {
        int[] all = everyPercentile ? IntStream.rangeClosed(1, HIGHEST).toArray() : FEW;
        ObjectNode tree = new JsonReport(report, all).tree();
        if (!scenarios.isEmpty()) {
            ArrayNode array = tree.putArray("scenarios");
            scenarios.forEach(run -> array.add(scenario(run, all)));
        }
        JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValue(file.toFile(), tree);
    }

    /** The same parts of a scenario, what differs from the plan, and what of it does not fit. */
    private static ObjectNode scenario(ScenarioRun run, int[] percentiles) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", run.scenario().id());
        node.put("name", run.scenario().name());
        ObjectNode differences = node.putObject("differences");
        double day = run.report().minutesPerDay();
        moved(differences.putObject("days"), run.gap().duration(), day);
        moved(differences.putObject("cost"), run.gap().cost(), 1);
        differences.put("costsNow", run.gap().now());
        differences.put("sooner", run.gap().sooner());
        differences.put("later", run.gap().later());
        ArrayNode misfits = node.putArray("misfits");
        run.misfits().forEach(misfit -> misfits.addObject()
                .put("section", misfit.section())
                .put("key", misfit.key())
                .put("idle", misfit.idle())
                .put("why", misfit.why()));
        node.setAll(new JsonReport(run.report(), percentiles).tree());
        return node;
    }

    /** A percentile at the project's level of confidence, less that of the plan. */
    private static void moved(ObjectNode node, Moved moved, double unit) {
        node.put("change", moved.change() / unit);
        if (!Double.isNaN(moved.error())) {
            node.put("error", moved.error() / unit);
        }
    }

    private ObjectNode tree() {
        RunResult result = report.result();
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("iterations", result.iterations());
        root.put("seed", result.settings().seed());
        root.put("sampling", result.settings().sampling().name().toLowerCase(Locale.ROOT));
        root.put("seconds", report.seconds());
        finish(root.putObject("finish"));
        ObjectNode duration = root.putObject("duration");
        duration.put("unit", "working days of the project calendar");
        numbers(duration, report.planDays(), report.durationDays());
        ObjectNode cost = root.putObject("cost");
        numbers(cost, result.cost().planned(), report.cost());
        cost.put("chanceOfPlan", report.cost().chance(result.cost().planned()));
        causes(cost.putObject("meanByCause"), result.cost());
        ArrayNode activities = root.putArray("activities");
        for (int i = 0; i < result.activities().size(); i++) {
            activity(
                    activities.addObject(),
                    report.plan().activities().get(i),
                    result.activities().get(i));
        }
        ArrayNode risks = root.putArray("risks");
        result.risks().forEach(risk -> risks.addObject().put("id", risk.id()).put("occurred", risk.occurred()));
        ArrayNode correlations = root.putArray("correlations");
        report.correlations().forEach(correlation -> correlation(correlations.addObject(), correlation));
        ArrayNode paths = root.putArray("paths");
        result.paths().stream().limit(MOST_PATHS).forEach(path -> path(paths.addObject(), path));
        ObjectNode drivers = root.putObject("drivers");
        drivers(drivers.putArray("finish"), report.finishDrivers(), "swingDays", report.minutesPerDay());
        drivers(drivers.putArray("cost"), report.costDrivers(), "swing", 1);
        return root;
    }

    private static void correlation(ObjectNode node, CorrelationReport correlation) {
        node.put("id", correlation.id());
        lowerTriangle(node.putArray("asked"), correlation.asked());
        lowerTriangle(node.putArray("used"), correlation.used());
        lowerTriangle(node.putArray("achieved"), correlation.achieved());
    }

    private static void lowerTriangle(ArrayNode array, double[][] matrix) {
        for (int i = 0; i < matrix.length; i++) {
            ArrayNode row = array.addArray();
            for (int j = 0; j <= i; j++) {
                row.add(matrix[i][j]);
            }
        }
    }

    private void path(ObjectNode node, DrivingPath path) {
        node.put("share", path.share());
        node.put("meanDays", path.meanDuration() / report.minutesPerDay());
        ArrayNode activities = node.putArray("activities");
        path.activities().forEach(activities::add);
    }

    /** Means of the total by cause; they add up to its mean. */
    private static void causes(ObjectNode node, CostSamples cost) {
        node.put("planned", cost.planned());
        node.put("spread", Arrays.stream(cost.spread()).average().orElse(0));
        node.put("timeDriven", Arrays.stream(cost.timeDriven()).average().orElse(0));
        node.put("risk", Arrays.stream(cost.risk()).average().orElse(0));
        node.put("actions", cost.actions());
    }

    private void finish(ObjectNode node) {
        Sample finish = report.finish();
        node.put("plan", date(report.result().planFinish()));
        node.put("chanceOfPlan", finish.chance(report.result().planFinish()));
        node.put("mean", date(finish.mean()));
        ObjectNode percentiles = node.putObject("percentiles");
        for (int p = 1; p <= HIGHEST; p++) {
            percentiles.put(Integer.toString(p), date(finish.percentile(p / 100.0)));
        }
    }

    private static void numbers(ObjectNode node, double plan, Sample sample) {
        node.put("plan", plan);
        node.put("mean", sample.mean());
        node.put("sd", sample.standardDeviation());
        ObjectNode percentiles = node.putObject("percentiles");
        for (int p = 1; p <= HIGHEST; p++) {
            percentiles.put(Integer.toString(p), sample.percentile(p / 100.0));
        }
    }

    private void activity(ObjectNode node, Activity activity, ActivityResult result) {
        double day = activity.duration().isElapsed() ? Instants.DAY : report.minutesPerDay(activity.calendar());
        node.put("id", result.id());
        node.put("criticality", result.criticality());
        node.put("cruciality", result.cruciality());
        ObjectNode duration = node.putObject("duration");
        duration.put("mean", result.meanDuration() / day);
        duration.put("sd", result.sdDuration() / day);
        percentiles(duration, result.duration(), (at, p, value) -> at.put(p, value / day));
        result.delay().ifPresent(delay -> {
            ObjectNode delayed = node.putObject("delay");
            delayed.put("mean", delay.mean() / day);
            delayed.put("sd", delay.sd() / day);
            percentiles(delayed, delay.percentiles(), (at, p, value) -> at.put(p, value / day));
        });
        dates(node.putObject("start"), result.meanStart(), result.start());
        dates(node.putObject("finish"), result.meanFinish(), result.finish());
        node.putObject("cost").put("mean", result.meanCost());
    }

    private void dates(ObjectNode node, double mean, double[] values) {
        node.put("mean", date(mean));
        percentiles(node, values, (at, p, value) -> at.put(p, date(value)));
    }

    /** Writes one percentile under its name. */
    private interface Put {
        void put(ObjectNode at, String percentile, double value);
    }

    private void percentiles(ObjectNode node, double[] values, Put put) {
        ObjectNode percentiles = node.putObject("percentiles");
        for (int p : ofActivities) {
            put.put(percentiles, Integer.toString(p), values[p - 1]);
        }
    }

    private static void drivers(ArrayNode array, List<Driver> drivers, String swing, double perUnit) {
        for (Driver driver : drivers) {
            ObjectNode node = array.addObject();
            node.put("input", driver.input().id());
            node.put("kind", Report.kind(driver.input()));
            driver.spearman().ifPresent(r -> node.put("spearman", r));
            driver.pearson().ifPresent(r -> node.put("pearson", r));
            driver.regression().ifPresent(r -> {
                node.put("regression", r.coefficient());
                node.put("contribution", r.contribution());
            });
            driver.swing().ifPresent(s -> node.put(swing, s.width() / perUnit));
        }
    }

    private static String date(double instant) {
        return Instants.toCivil(instant).toString();
    }
}
