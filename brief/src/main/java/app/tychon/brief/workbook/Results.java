package app.tychon.brief.workbook;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.brief.ground.Options;
import app.tychon.brief.ground.Options.Option;
import app.tychon.brief.ground.Reasons;
import app.tychon.brief.ground.Reasons.Reason;
import app.tychon.brief.ground.Sight;
import app.tychon.brief.ground.Spent;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.BriefBlock.Period;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.statistics.PercentileInterval;
import app.tychon.exchange.table.Sheet;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What came out of a run, as tables of numbers and dates. */
final class Results {
    private static final int HIGHEST = 99;

    private Results() {}

    static Sheet percentiles(Ground ground) {
        Odds odds = new Odds(ground);
        Sight finish = odds.finish(Plan.PROJECT);
        Optional<Sight> cost = odds.cost(Plan.PROJECT);
        List<List<Object>> rows = new ArrayList<>();
        for (int percent = 1; percent <= HIGHEST; percent++) {
            double level = percent / 100.0;
            PercentileInterval date = finish.sample().percentileWithInterval(level);
            List<Object> row = new ArrayList<>(Arrays.asList(
                    (Object) percent,
                    Instants.toCivil(finish.sure(level)),
                    Instants.toCivil(date.low()),
                    Instants.toCivil(date.high())));
            PercentileInterval money = cost.map(sight -> sight.sample().percentileWithInterval(level))
                    .orElse(null);
            row.add(cost.map(sight -> sight.sure(level)).orElse(null));
            row.add(money == null ? null : money.low());
            row.add(money == null ? null : money.high());
            rows.add(row);
        }
        return Sheet.plain(
                "",
                List.of(
                        "Chance, percent",
                        "Finish by",
                        "95 % from",
                        "95 % to",
                        "Cost up to",
                        "Cost 95 % from",
                        "Cost 95 % to"),
                rows);
    }

    static Sheet criticality(Ground ground) {
        Plan plan = ground.plan();
        List<List<Object>> rows = new ArrayList<>();
        List<ActivityResult> results = ground.result().activities();
        for (int i = 0; i < results.size(); i++) {
            ActivityResult one = results.get(i);
            double day = plan.activities()
                    .get(i)
                    .minutesPerDay(plan.calendarOf(plan.activities().get(i)));
            rows.add(List.of(
                    one.id(),
                    plan.activities().get(i).name(),
                    one.criticality(),
                    one.meanDuration() / day,
                    one.sdDuration() / day,
                    Instants.toCivil(one.meanStart()),
                    Instants.toCivil(one.meanFinish()),
                    one.meanCost()));
        }
        return Sheet.plain(
                "",
                List.of(
                        "Code",
                        "Activity",
                        "Criticality",
                        "Mean days",
                        "Standard deviation, days",
                        "Mean start",
                        "Mean finish",
                        "Mean cost"),
                rows);
    }

    static Sheet drivers(Ground ground) {
        double day = ground.plan().projectCalendar().hoursPerDay() * 60;
        double level = ground.plan().project().targets().level();
        List<List<Object>> rows = new ArrayList<>();
        for (Reason reason : Reasons.of(ground, Plan.PROJECT, false, level)) {
            rows.add(row(ground, "finish", reason, day));
        }
        if (ground.result().hasMoney()) {
            for (Reason reason : Reasons.of(ground, Plan.PROJECT, true, level)) {
                rows.add(row(ground, "cost", reason, 1));
            }
        }
        return Sheet.plain(
                "",
                List.of("Of", "Code", "What", "Kind", "Adds at the level: working days, or money", "95 % within"),
                rows);
    }

    private static List<Object> row(Ground ground, String of, Reason reason, double unit) {
        return Arrays.asList(
                of,
                reason.input().id(),
                Reasons.name(ground.plan(), reason.input()),
                reason.input().kind().name().toLowerCase(Locale.ROOT),
                reason.adds() / unit,
                Double.isNaN(reason.error()) ? null : (Object) (reason.error() / unit));
    }

    static Sheet cashFlow(Ground ground) {
        List<List<Object>> rows = new ArrayList<>();
        if (ground.result().hasMoney()) {
            Spent spent = Spent.of(ground, Period.MONTH);
            for (int p = 0; p < spent.starts().size(); p++) {
                rows.add(List.of(
                        spent.starts().get(p).atStartOfDay(),
                        spent.each()[p],
                        spent.planned()[p],
                        spent.low()[p],
                        spent.half()[p],
                        spent.high()[p]));
            }
        }
        return Sheet.plain(
                "",
                List.of(
                        "From",
                        "P50 in the period",
                        "Planned by its end",
                        "P10 by its end",
                        "P50 by its end",
                        "P90 by its end"),
                rows);
    }

    static Sheet scenarios(Ground ground) {
        double day = ground.plan().projectCalendar().hoursPerDay() * 60;
        double level = ground.plan().project().targets().level();
        List<List<Object>> rows = new ArrayList<>();
        for (Option option : Options.scenarios(ground, level)) {
            rows.add(Arrays.asList(
                    option.scenario().id(),
                    option.scenario().name(),
                    Instants.toCivil(option.odds().finish().percentile(0.5)),
                    Instants.toCivil(option.odds().finish().percentile(level)),
                    option.gap().duration().change() / day,
                    option.odds().cost().percentile(0.5),
                    option.odds().cost().percentile(level),
                    option.gap().cost().change(),
                    option.gap().now(),
                    option.odds().finishChance().orElse(null),
                    option.odds().costChance().orElse(null),
                    option.odds().jointChance().orElse(null)));
        }
        String sure = "P" + ground.plan().project().targets().confidence();
        return Sheet.plain(
                "",
                List.of(
                        "Code",
                        "Scenario",
                        "P50 finish",
                        sure + " finish",
                        "Working days against the plan",
                        "P50 cost",
                        sure + " cost",
                        "Cost against the plan",
                        "Costs now",
                        "Chance of the target",
                        "Chance of the budget",
                        "Chance of both"),
                rows);
    }

    static Sheet iterations(Ground ground) {
        RunResult result = ground.result();
        double[] totals = result.cost().totals();
        double day = ground.plan().projectCalendar().hoursPerDay() * 60;
        List<List<Object>> rows = new ArrayList<>(result.iterations());
        for (int i = 0; i < result.iterations(); i++) {
            rows.add(List.of(
                    i + 1,
                    Instants.toCivil(result.finish()[i]),
                    result.duration()[i] / day,
                    totals[i],
                    result.cost().planned(),
                    result.cost().spread()[i],
                    result.cost().timeDriven()[i],
                    result.cost().risk()[i],
                    result.cost().actions()));
        }
        return Sheet.plain(
                "",
                List.of(
                        "Iteration",
                        "Finish",
                        "Working days",
                        "Cost",
                        "Planned",
                        "Spread of amounts",
                        "Longer work",
                        "Risks",
                        "Actions"),
                rows);
    }
}
