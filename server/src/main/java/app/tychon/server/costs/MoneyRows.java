package app.tychon.server.costs;

import app.tychon.core.analysis.CostOdds;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Categories;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Slice;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.risk.RiskTargets;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.statistics.Outline;
import app.tychon.core.statistics.Sample;
import app.tychon.server.costs.MoneyRowsView.MoneyRow;
import app.tychon.server.odds.Opened;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.function.Supplier;

/** Works out what each line, row and category of a simulation's plan costs. */
final class MoneyRows {
    private static final int POINTS = 28;
    /** Of more lines fewer futures are looked at, so that an answer does not wait. */
    private static final int MANY_LINES = 500;

    private static final int OF_MANY = 1000;
    private static final double PERCENT = 100;

    private final Opened run;
    private final List<Wanted> wanted = new ArrayList<>();

    private record Wanted(String key, Supplier<double[]> values) {}

    private MoneyRows(Opened run) {
        this.run = run;
    }

    /** Worked out once. */
    static MoneyRowsView of(Opened run) {
        int all = run.result().iterations();
        int lines = run.plan().costs().size() + run.plan().assignments().size();
        int most = lines > MANY_LINES ? Math.min(all, OF_MANY) : all;
        return run.once(
                MoneyRows.class,
                () -> run.calculate(most, (plan, monitor) -> new MoneyRows(run).view(plan, most, monitor)));
    }

    private MoneyRowsView view(CompiledPlan compiled, int most, RunMonitor monitor) {
        CostOdds odds = CostOdds.of(compiled, run.result().settings(), most, monitor);
        Plan plan = run.plan();
        double level = plan.project().targets().level();
        for (CostLine line : plan.costs()) {
            want("line:" + line.id(), () -> odds.line(line.id()));
        }
        for (Assignment one : plan.assignments()) {
            want("work:" + one.activity() + "/" + one.resource(), () -> odds.line(RiskTargets.id(one)));
        }
        Network network = compiled.network();
        odds.places().forEach((on, values) -> {
            if (network.isActivity(on)) {
                want("row:" + on, () -> values);
            }
        });
        odds.branches().forEach((branch, values) -> {
            if (!branch.equals(Plan.PROJECT)) {
                want("row:" + branch, () -> values);
            }
        });
        for (String category : categories(plan)) {
            Slice slice = category.isEmpty() ? Slice.ofNoCategory(plan) : Slice.of(plan, category);
            want("category:" + category, () -> odds.sum(slice));
        }
        want("project", () -> odds.sum(Slice.whole()));
        List<MoneyRow> rows =
                wanted.parallelStream().map(one -> row(one, level)).toList();
        return new MoneyRowsView(
                odds.iterations(),
                PERCENT * level,
                odds.iterations() < run.result().iterations(),
                rows);
    }

    private void want(String key, Supplier<double[]> values) {
        wanted.add(new Wanted(key, values));
    }

    /** Every category there is money in, and those above it; the empty one for what has none. */
    static TreeSet<String> categories(Plan plan) {
        TreeSet<String> all = new TreeSet<>();
        Slice.categories(plan).values().forEach(category -> {
            all.add(category);
            for (String at = Categories.above(category); !at.isEmpty(); at = Categories.above(at)) {
                all.add(at);
            }
        });
        return all;
    }

    private static MoneyRow row(Wanted wanted, double level) {
        double[] values = wanted.values().get();
        Sample sample = Sample.of(values);
        Outline outline = Outline.of(sample, POINTS);
        double mean = Arrays.stream(values).sum() / values.length;
        return new MoneyRow(
                wanted.key(),
                mean,
                sample.percentile(0.5),
                sample.percentile(level),
                outline.low(),
                outline.high(),
                outline.heights());
    }
}
