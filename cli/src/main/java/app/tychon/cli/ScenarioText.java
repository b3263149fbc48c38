package app.tychon.cli;

import app.tychon.core.analysis.Effect.Moved;
import app.tychon.core.calendar.Instants;
import java.util.List;
import java.util.Locale;

/** What the terminal shows of scenarios: a line each, with what differs from the plan. */
final class ScenarioText {
    private final Report plan;
    private final List<ScenarioRun> runs;
    private final StringBuilder text = new StringBuilder();

    ScenarioText(Report plan, List<ScenarioRun> runs) {
        this.plan = plan;
        this.runs = runs;
    }

    private void line(String format, Object... values) {
        text.append(String.format(Locale.ROOT, format, values)).append('\n');
    }

    String text() {
        if (runs.isEmpty()) {
            return "";
        }
        int level = plan.plan().project().targets().confidence();
        String currency = plan.plan().project().currency();
        line("");
        line("Scenarios beside the plan, by the same random numbers; differences are those of P%d", level);
        line(
                "%-32s %-16s %-16s %18s %14s %24s %12s",
                "",
                "P50 finish",
                "P" + level + " finish",
                "working days",
                "P" + level + " cost",
                "more " + currency,
                "costs now");
        row("the plan", plan, "", "", "");
        for (ScenarioRun run : runs) {
            row(
                    run.scenario().name(),
                    run.report(),
                    moved(run.gap().duration(), run.report().minutesPerDay(), "%+.1f", " ± %.1f"),
                    moved(run.gap().cost(), 1, "%+,.0f", " ± %,.0f"),
                    String.format(Locale.ROOT, "%,.0f", run.gap().now()));
            run.misfits().forEach(misfit -> line("    look: %s %s: %s", misfit.section(), misfit.key(), misfit.why()));
        }
        return text.toString();
    }

    private void row(String name, Report report, String days, String money, String now) {
        double level = plan.plan().project().targets().level();
        line(
                "%-32.32s %-16s %-16s %18s %,14.0f %24s %12s",
                name,
                date(report.finish().percentile(0.5)),
                date(report.finish().percentile(level)),
                days,
                report.cost().percentile(level),
                money,
                now);
    }

    /** With its error, where that is known. */
    private static String moved(Moved moved, double unit, String change, String error) {
        String moves = String.format(Locale.ROOT, change, moved.change() / unit);
        return Double.isNaN(moved.error()) ? moves : moves + String.format(Locale.ROOT, error, moved.error() / unit);
    }

    private static String date(double instant) {
        return Instants.toCivil(instant).toString().replace('T', ' ');
    }
}
