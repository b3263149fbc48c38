package app.tychon.core.analysis;

import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Outputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;

/**
 * Why an activity finishes later, and costs more, than planned at a percentile: its own estimate, each risk that strikes it,
 * waiting for what comes before, and what of these overlaps. All but the overlap is what each would make alone; with it they
 * add up exactly.
 *
 * @param time  working minutes of the activity's own calendar
 * @param money nothing where no money stands on it
 */
public record InsideActivity(Side time, List<Side> money) {

    /** What one risk adds to its duration, or to its cost. */
    public record RiskPart(String risk, double value) {}

    /**
     * @param total   finish or cost at the percentile, less planned
     * @param own     its own estimate; of money all but what risks add
     * @param risks   strongest first
     * @param waiting for what comes before; 0 of money
     * @param overlap what makes them add up to the total
     */
    public record Side(double total, double own, List<RiskPart> risks, double waiting, double overlap) {}

    /**
     * @param id    of an activity that has work left
     * @param level of the percentile, 0 to 1
     * @throws CancellationException when stopped
     */
    public static InsideActivity of(
            CompiledPlan plan, RunSettings settings, String id, double level, RunMonitor monitor) {
        Network network = plan.network();
        int position = network.position(id);
        Variation calm = plan.variation().withRisks(RiskSetting.OFF);
        Output planned = Outputs.of(plan.with(Variation.CERTAIN), settings, 1, id, monitor.quiet());
        Output all = values(plan, settings, id, monitor);
        Output own = values(plan.with(calm), settings, id, monitor);
        List<Risk> striking = Inputs.of(plan).striking(id);
        List<Output> without = new ArrayList<>();
        for (Risk risk : striking) {
            without.add(
                    values(plan.with(plan.variation().withRisk(risk.id(), RiskSetting.OFF)), settings, id, monitor));
            monitor.progress(without.size(), striking.size());
        }
        double duration = at(all.duration(), level);
        List<RiskPart> risks = parts(
                striking,
                without.stream()
                        .map(output -> duration - at(output.duration(), level))
                        .toList());
        double ownTime = at(own.duration(), level) - planned.duration()[0];
        double finish = at(work(network, position, all.finish()), level);
        double total = finish - network.time(position).work(planned.finish()[0]);
        double stretched = duration - planned.duration()[0];
        Side time = new Side(total, ownTime, risks, total - stretched, stretched - ownTime - sum(risks));
        return new InsideActivity(time, money(striking, without, planned, all, own, level));
    }

    private static Output values(CompiledPlan plan, RunSettings settings, String id, RunMonitor monitor) {
        Output output = Outputs.of(plan, settings, settings.iterations(), id, monitor.quiet());
        if (monitor.stopRequested()) {
            throw new CancellationException("stopped before all parts were simulated");
        }
        return output;
    }

    private static List<Side> money(
            List<Risk> striking, List<Output> without, Output planned, Output all, Output own, double level) {
        if (all.cost().length == 0 || planned.cost().length == 0) {
            return List.of();
        }
        double cost = at(all.cost(), level);
        List<RiskPart> risks = parts(
                striking,
                without.stream().map(output -> cost - at(output.cost(), level)).toList());
        double ownMoney = at(own.cost(), level) - planned.cost()[0];
        double total = cost - planned.cost()[0];
        return List.of(new Side(total, ownMoney, risks, 0, total - ownMoney - sum(risks)));
    }

    private static List<RiskPart> parts(List<Risk> striking, List<Double> values) {
        List<RiskPart> parts = new ArrayList<>();
        for (int i = 0; i < striking.size(); i++) {
            parts.add(new RiskPart(striking.get(i).id(), values.get(i)));
        }
        parts.sort(Comparator.comparingDouble((RiskPart part) -> -Math.abs(part.value())));
        return List.copyOf(parts);
    }

    private static double sum(List<RiskPart> parts) {
        return parts.stream().mapToDouble(RiskPart::value).sum();
    }

    private static double[] work(Network network, int position, double[] instants) {
        double[] work = new double[instants.length];
        for (int i = 0; i < work.length; i++) {
            work[i] = network.time(position).work(instants[i]);
        }
        return work;
    }

    private static double at(double[] values, double level) {
        return Sample.of(values).percentile(level);
    }
}
