package app.tychon.server.drivers;

import app.tychon.core.analysis.InsideActivity;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Risk;
import app.tychon.server.odds.Asked;
import app.tychon.server.odds.Opened;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Why an activity finishes later, and costs more, than planned; it adds up.
 *
 * @param level percent
 * @param time  days of its calendar
 * @param money absent where none stands on it
 */
record InsideActivityView(double level, ActivitySide time, @Nullable ActivitySide money) {
    /**
     * @param total   at the level, less planned
     * @param own     its own estimate
     * @param risks   each risk that strikes it, the strongest first
     * @param waiting for what comes before
     * @param overlap what makes them add up
     */
    record ActivitySide(double total, double own, List<ActivityRisk> risks, double waiting, double overlap) {}

    record ActivityRisk(String id, String title, String mark, double value) {}

    static InsideActivityView of(Opened run, String id, double level) {
        Activity activity = run.plan().activities().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no activity \"" + id + "\""));
        Goal goal = Goal.of(run, new Asked(null, null));
        InsideActivity inside = run.calculate(
                run.result().iterations(),
                (plan, monitor) -> InsideActivity.of(plan, goal.settings(), id, level, monitor));
        Map<String, Risk> risks = run.plan().risks().stream().collect(Collectors.toMap(Risk::id, risk -> risk));
        double day = activity.minutesPerDay(run.plan().calendarOf(activity));
        return new InsideActivityView(
                Goal.percent(level),
                view(inside.time(), day, risks),
                inside.money().stream()
                        .findFirst()
                        .map(money -> view(money, 1, risks))
                        .orElse(null));
    }

    private static ActivitySide view(InsideActivity.Side side, double unit, Map<String, Risk> risks) {
        return new ActivitySide(
                side.total() / unit,
                side.own() / unit,
                side.risks().stream()
                        .map(part -> new ActivityRisk(
                                part.risk(),
                                risks.get(part.risk()).title(),
                                risks.get(part.risk()).kind().name().toLowerCase(Locale.ROOT),
                                part.value() / unit))
                        .toList(),
                side.waiting() / unit,
                side.overlap() / unit);
    }
}
