package app.tychon.cli;

import app.tychon.core.analysis.CorrelationReport;
import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Sensitivity;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.RiskResult;
import app.tychon.core.statistics.PercentileInterval;
import app.tychon.core.statistics.Sample;
import java.util.List;
import java.util.Locale;

/** What the terminal shows. */
final class TextReport {
    private static final int[] LEVELS = {5, 10, 20, 30, 40, 50, 60, 70, 80, 90, 95};
    private static final int MOST_DRIVERS = 10;
    private static final double SAME = 0.005;

    private final Report report;
    private final StringBuilder text = new StringBuilder();

    TextReport(Report report) {
        this.report = report;
    }

    private void line(String format, Object... values) {
        text.append(String.format(Locale.ROOT, format, values)).append('\n');
    }

    String text() {
        RunResult result = report.result();
        Sample finish = report.finish();
        Sample cost = report.cost();
        boolean money = report.hasMoney();
        String currency = report.plan().project().currency();
        line(
                "%s: %,d iterations, seed %d, %s sampling, %.2f s",
                report.plan().project().name(),
                result.iterations(),
                result.settings().seed(),
                result.settings().sampling().name().toLowerCase(Locale.ROOT),
                report.seconds());
        if (result.iterations() < result.settings().iterations()) {
            line(
                    "It was stopped before the %,d iterations that were asked for; all that follows is of those done.",
                    result.settings().iterations());
        }
        line(
                "The plan finishes %s; its chance is %.1f %%.",
                date(result.planFinish()), 100 * finish.chance(result.planFinish()));
        if (money) {
            line(
                    "The plan costs %s %,.0f; its chance is %.1f %%.",
                    currency,
                    result.cost().planned(),
                    100 * cost.chance(result.cost().planned()));
        }
        line("");
        line("level   finish             95 %% interval                         %s", money ? "cost " + currency : "");
        for (int level : LEVELS) {
            PercentileInterval interval = finish.percentileWithInterval(level / 100.0);
            String amount = money ? String.format(Locale.ROOT, "%,14.0f", cost.percentile(level / 100.0)) : "";
            line(
                    "P%-4d   %s   %s to %s   %s",
                    level, date(interval.value()), date(interval.low()), date(interval.high()), amount);
        }
        risks();
        drivers("finish", "working days", report.finishDrivers(), report.minutesPerDay());
        if (money) {
            drivers("cost", currency, report.costDrivers(), 1);
        }
        return text.toString();
    }

    private void drivers(String of, String unit, List<Driver> drivers, double perUnit) {
        line("");
        line("What drives the %s    (swing: mean in the input's highest tenth less that in its lowest, %s)", of, unit);
        if (report.result().iterations() > Sensitivity.MOST_ITERATIONS) {
            line("By the first %,d iterations.", Sensitivity.MOST_ITERATIONS);
        }
        line("%-10s %-10s %-42s %8s %13s %10s", "input", "", "", "rank r", "of variance", "swing");
        drivers.stream()
                .limit(MOST_DRIVERS)
                .forEach(d -> line(
                        "%-10s %-10s %-42.42s %8s %13s %10s",
                        d.input().id(),
                        Report.kind(d.input()),
                        d.input().name(),
                        d.spearman().isEmpty()
                                ? ""
                                : figure("%.2f", d.spearman().getAsDouble()),
                        d.regression()
                                .map(r -> figure("%.1f %%", 100 * r.contribution()))
                                .orElse("not examined"),
                        d.swing().isEmpty()
                                ? "no figure"
                                : figure("%,.1f", d.swing().orElseThrow().width() / perUnit)));
    }

    private static String figure(String format, double value) {
        return String.format(Locale.ROOT, format, value);
    }

    /** How often each risk struck, and the correlations that had to give. */
    private void risks() {
        if (!report.result().risks().isEmpty()) {
            line("");
            line("How often each risk struck");
        }
        for (RiskResult risk : report.result().risks()) {
            String title = report.plan().risks().stream()
                    .filter(r -> r.id().equals(risk.id()))
                    .map(Risk::title)
                    .findFirst()
                    .orElse("");
            line("%-10s %-53.53s %6.1f %%", risk.id(), title, 100 * risk.occurred());
        }
        for (CorrelationReport correlation : report.correlations()) {
            if (correlation.largestMove() > SAME) {
                line("");
                line(
                        "Correlation %s is not possible as asked; the nearest that is differs by up to %.2f.",
                        correlation.id(), correlation.largestMove());
            }
        }
    }

    private static String date(double instant) {
        return Instants.toCivil(instant).toString().replace('T', ' ');
    }
}
