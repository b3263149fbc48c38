package app.tychon.cli;

import app.tychon.core.analysis.CorrelationReport;
import app.tychon.core.analysis.Driver;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.util.Arrays;
import java.util.List;

/** A run with what is told of it: samples of finish, duration in working days, and cost; drivers of both. */
record Report(
        Plan plan,
        RunResult result,
        double seconds,
        List<Driver> finishDrivers,
        List<Driver> costDrivers,
        List<CorrelationReport> correlations) {
    Sample finish() {
        return DateSample.of(result.finish(), WorkingTimes.ofProject(plan));
    }

    Sample durationDays() {
        double day = minutesPerDay();
        return Sample.of(
                Arrays.stream(result.duration()).map(minutes -> minutes / day).toArray());
    }

    double planDays() {
        return result.planDuration() / minutesPerDay();
    }

    /** Whether the plan has anything that costs, or could. */
    boolean hasMoney() {
        double[] totals = result.cost().totals();
        return Arrays.stream(totals).anyMatch(cost -> cost != 0);
    }

    /** What an input is to a reader: an estimate, a cost line, a risk that occurs, how large its impact is. */
    static String kind(Input input) {
        return switch (input.kind()) {
            case ESTIMATE -> "estimate";
            case COST -> "cost";
            case PRICE -> "prices";
            case OCCURRENCE -> "occurrence";
            case IMPACT -> "impact";
            case RISK -> "risk";
            case GROUP -> "group";
        };
    }

    Sample cost() {
        return Sample.of(result.cost().totals());
    }

    /** Working minutes of a day of the project's calendar. */
    double minutesPerDay() {
        return minutesPerDay(plan.project().calendar());
    }

    double minutesPerDay(String calendar) {
        return plan.calendars().stream()
                .filter(c -> c.id().equals(calendar))
                .mapToDouble(CalendarDefinition::hoursPerDay)
                .map(hours -> hours * 60)
                .findFirst()
                .orElseThrow();
    }
}
