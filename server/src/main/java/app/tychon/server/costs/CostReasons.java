package app.tychon.server.costs;

import app.tychon.core.analysis.CostCauses;
import app.tychon.core.analysis.CostContingency;
import app.tychon.core.analysis.CostStaircase;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Slice;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.Place;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.statistics.Sample;
import app.tychon.server.costs.CostCausesView.CauseSum;
import app.tychon.server.odds.Opened;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Works out why a simulation's plan costs what it costs, in all and by branch or category. */
final class CostReasons {
    private static final double PERCENT = 100;

    private CostReasons() {}

    /** @param depth of branches and categories, 1 for those at the top */
    private record Asked(boolean byCategory, int depth) {}

    /** Groups are simulated once for all levels. */
    static CostCausesView of(Opened run, boolean byCategory, int depth, double level) {
        RunResult result = run.result();
        Map<String, CostSamples> groups = run.once(
                new Asked(byCategory, depth),
                () -> run.calculate(
                        result.iterations(), (plan, monitor) -> groups(run, plan, byCategory, depth, monitor)));
        CostContingency contingency = CostContingency.of(result.cost(), result.duration(), level);
        double day = run.plan().projectCalendar().hoursPerDay() * 60;
        double minutes = Sample.of(result.duration()).percentile(level) - result.planDuration();
        return new CostCausesView(
                PERCENT * level,
                sum(Plan.PROJECT, result.cost(), level),
                groups.entrySet().stream()
                        .map(group -> sum(group.getKey(), group.getValue(), level))
                        .sorted(Comparator.comparingDouble(CauseSum::at).reversed())
                        .toList(),
                contingency.with(),
                contingency.without(),
                minutes / day,
                contingency.minuteCosts() * day);
    }

    private static Map<String, CostSamples> groups(
            Opened run, CompiledPlan plan, boolean byCategory, int depth, RunMonitor monitor) {
        Network network = plan.network();
        Map<String, String> categories = Slice.categories(run.plan());
        return CostCauses.of(
                plan,
                run.result().settings(),
                item -> byCategory ? cut(categories.get(item.id()), depth) : branch(network, item.place(), depth),
                added -> byCategory
                        ? cut(categories.getOrDefault(added.target(), ""), depth)
                        : branch(network, added.place(), depth),
                monitor);
    }

    private static String cut(String category, int depth) {
        return Stream.of(category.split("/")).limit(depth).collect(Collectors.joining("/"));
    }

    private static String branch(Network network, Place place, int depth) {
        String on = place.isBranch()
                ? place.on()
                : network.activity(place.position()).wbs();
        List<String> chain = network.branches().chain(on);
        // The whole project comes last; before it the branch at the top.
        int top = chain.size() - 2;
        return top < 0 ? Plan.PROJECT : chain.get(Math.max(0, top - depth + 1));
    }

    private static CauseSum sum(String group, CostSamples cost, double level) {
        List<CostStaircase.Step> steps = CostStaircase.of(cost, level);
        double[] change = new double[steps.size()];
        for (int i = 1; i < change.length; i++) {
            change[i] = steps.get(i).value() - steps.get(i - 1).value();
        }
        return new CauseSum(
                group,
                steps.get(0).value(),
                change[1],
                change[2],
                change[3],
                change[4],
                steps.get(4).value(),
                Arrays.stream(cost.totals()).average().orElse(0));
    }
}
