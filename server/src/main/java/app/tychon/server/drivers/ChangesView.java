package app.tychon.server.drivers;

import app.tychon.core.analysis.PlanChange;
import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.server.odds.Opened;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * What moved a percentile from one version of the plan to another, by kind of change; it adds up.
 *
 * @param level percent
 */
record ChangesView(double level, List<ChangeStep> steps) {
    /**
     * A kind of change.
     *
     * @param kind   empty for the earlier plan
     * @param finish the percentile once it has come in
     * @param days   working days of the later plan's calendar by which it moved the finish
     * @param cost   the percentile of the cost
     * @param money  by how much it moved that
     */
    record ChangeStep(String kind, LocalDateTime finish, double days, double cost, double money) {}

    static ChangesView of(Opened earlier, Opened later, double level) {
        RunSettings own = later.result().settings();
        int iterations = Math.min(earlier.result().iterations(), later.result().iterations());
        RunSettings settings = new RunSettings(iterations, own.seed(), own.sampling(), own.threads());
        List<PlanChange.Step> steps = later.calculate(
                iterations, (plan, monitor) -> PlanChange.of(earlier.plan(), later.plan(), settings, level, monitor));
        WorkingTime time = later.time();
        double day = later.plan().projectCalendar().hoursPerDay() * 60;
        List<ChangeStep> views = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            PlanChange.Step step = steps.get(i);
            PlanChange.Step before = steps.get(Math.max(0, i - 1));
            views.add(new ChangeStep(
                    step.kind().map(StaircaseView::name).orElse(""),
                    Instants.toCivil(step.finish()),
                    (time.work(step.finish()) - time.work(before.finish())) / day,
                    step.cost(),
                    step.cost() - before.cost()));
        }
        return new ChangesView(Goal.percent(level), views);
    }
}
