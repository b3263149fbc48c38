package app.tychon.server.costs;

import app.tychon.core.analysis.ResourceLoad;
import app.tychon.core.model.Resource;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Sample;
import app.tychon.server.costs.LoadView.LoadPeriod;
import app.tychon.server.odds.Opened;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Works out how much of a resource is at work over time. */
final class Loads {
    private static final int MOST = 1000;
    private static final double PERCENT = 100;

    private Loads() {}

    private record Asked(String resource, Period period) {}

    /** @throws IllegalArgumentException where there is no such resource, or nothing uses it */
    static LoadView of(Opened run, String id, Period period) {
        Resource resource = run.plan().resources().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no resource \"" + id + "\""));
        int iterations = Math.min(MOST, run.result().iterations());
        return run.once(
                new Asked(id, period),
                () -> run.calculate(
                        iterations, (plan, monitor) -> view(run, plan, resource, period, iterations, monitor)));
    }

    private static LoadView view(
            Opened run, CompiledPlan plan, Resource resource, Period period, int iterations, RunMonitor monitor) {
        RunSettings own = run.result().settings();
        RunSettings settings = new RunSettings(iterations, own.seed(), own.sampling(), own.threads());
        ResourceLoad load = ResourceLoad.of(plan, settings, resource.id(), period, monitor);
        double level = run.plan().project().targets().level();
        boolean limited = resource.limit().isPresent();
        List<LoadPeriod> periods = new ArrayList<>();
        for (int p = 0; p < load.starts().size(); p++) {
            LocalDate from = load.starts().get(p);
            Sample units = Sample.of(load.units()[p]);
            periods.add(new LoadPeriod(
                    from,
                    period.next(from).minusDays(1),
                    load.planned()[p],
                    units.percentile(0.5),
                    units.percentile(level),
                    limited ? load.exceeded(resource, p) : null));
        }
        return new LoadView(
                resource.id(),
                iterations,
                PERCENT * level,
                resource.limit().orElse(null),
                limited ? load.everExceeded(resource) : null,
                periods);
    }
}
