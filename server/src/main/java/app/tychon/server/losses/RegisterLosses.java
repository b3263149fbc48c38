package app.tychon.server.losses;

import app.tychon.core.analysis.Losses;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.RiskSize;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Sample;
import app.tychon.server.live.Outlook;
import app.tychon.server.losses.LossesView.CategoryLoss;
import app.tychon.server.memory.Recent;
import app.tychon.server.odds.Odds;
import app.tychon.server.odds.Quantity;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.NotFoundException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Losses of a register by category; those of plans looked at last are kept. */
@Service
class RegisterLosses {
    /** What the whole register is known by. */
    private static final String ALL = "";
    /** Risks without a category; no category begins with a slash. */
    private static final String NONE = "/";

    private static final int SMALL = 500;
    private static final int OF_SMALL = 10_000;
    private static final int OF_LARGE = 1_000;
    private static final int MOST_KEPT = 10;

    private final PlanStore plans;
    private final EnginePool pool;
    private final Map<UUID, Worked> known = Collections.synchronizedMap(new Recent<>(MOST_KEPT));

    RegisterLosses(PlanStore plans, EnginePool pool) {
        this.plans = plans;
        this.pool = pool;
    }

    /** Losses of every category of a plan as it was at a revision. */
    private record Worked(long revision, RunSettings settings, Map<String, Losses> losses) {}

    /** The odds of a category, and of all categories beneath the whole. */
    LossesView view(UUID project, String category, boolean withTime, List<Double> levels, int bins) {
        LoadedPlan plan = plans.find(project);
        Worked worked = worked(project, plan);
        double[] loss = loss(worked, category, withTime);
        double whole = mean(loss(worked, ALL, withTime));
        List<CategoryLoss> rows = rows(plan, worked, withTime, whole);
        double sum = rows.stream()
                .filter(row -> row.depth() == 0)
                .mapToDouble(CategoryLoss::expected)
                .sum();
        return new LossesView(
                quantity(loss).odds(levels, bins, worked.settings()),
                (double) Arrays.stream(loss).filter(value -> value == 0).count() / loss.length,
                rows,
                whole - sum);
    }

    Odds.Reading<Double> reading(
            UUID project, String category, boolean withTime, Optional<Double> chance, Optional<Double> value) {
        Quantity<Double> quantity = quantity(values(project, category, withTime));
        return value.map(quantity::at).orElseGet(() -> quantity.ofChance(chance.orElse(0.0)));
    }

    /** The loss of every future, in their order. */
    double[] values(UUID project, String category, boolean withTime) {
        return loss(worked(project, plans.find(project)), category, withTime);
    }

    private static Quantity<Double> quantity(double[] loss) {
        return Quantity.amounts(loss, 0, Optional.empty());
    }

    private static double[] loss(Worked worked, String category, boolean withTime) {
        Losses losses = Optional.ofNullable(worked.losses().get(category))
                .orElseThrow(() -> new NotFoundException("The register has no category \"" + category + "\"."));
        return withTime ? losses.whole() : losses.direct();
    }

    private Worked worked(UUID project, LoadedPlan plan) {
        Worked last = known.get(project);
        if (last != null && last.revision() == plan.revision()) {
            return last;
        }
        boolean small = plan.plan().activities().size() <= SMALL;
        RunSettings settings = Outlook.settings(small ? OF_SMALL : OF_LARGE);
        long bytes = 2 * RunNeeds.of(plan.plan(), settings).bytes();
        Map<String, Losses> losses = pool.await(
                Urgency.AWAITED,
                project,
                bytes,
                monitor -> Losses.of(CompiledPlan.of(plan.network(), plan.schedule()), settings, sets(plan), monitor));
        Worked worked = new Worked(plan.revision(), settings, losses);
        known.put(project, worked);
        return worked;
    }

    /** Ids of the live risks of every category, and of what lies beneath it. */
    private static Map<String, Set<String>> sets(LoadedPlan plan) {
        Map<String, Set<String>> sets = new LinkedHashMap<>();
        sets.put(ALL, new TreeSet<>());
        for (Risk risk : plan.plan().risks()) {
            if (risk.isLive()) {
                sets.get(ALL).add(risk.id());
                paths(risk).forEach(path -> sets.computeIfAbsent(path, p -> new TreeSet<>())
                        .add(risk.id()));
            }
        }
        return sets;
    }

    /** Site, Site/Weather. */
    private static List<String> paths(Risk risk) {
        if (risk.category().isBlank()) {
            return List.of(NONE);
        }
        List<String> paths = new ArrayList<>();
        for (String level : risk.category().split("/")) {
            paths.add(paths.isEmpty() ? level : paths.get(paths.size() - 1) + "/" + level);
        }
        return paths;
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElse(0);
    }

    private static List<CategoryLoss> rows(LoadedPlan plan, Worked worked, boolean withTime, double whole) {
        Map<String, Set<String>> sets = sets(plan);
        RiskSize.Sizing sizing = new RiskSize.Sizing(plan.network());
        Map<String, Double> chances = new TreeMap<>();
        plan.plan()
                .risks()
                .forEach(risk -> chances.put(
                        risk.id(),
                        sizing.of(risk, risk.presentProbability(), risk.presentImpacts())
                                .chance()));
        List<CategoryLoss> all = sets.entrySet().stream()
                .filter(set -> !set.getKey().equals(ALL))
                .map(set -> {
                    Sample loss = Sample.of(loss(worked, set.getKey(), withTime));
                    int depth = set.getKey().equals(NONE) ? 0 : set.getKey().split("/").length - 1;
                    double strikes =
                            set.getValue().stream().mapToDouble(chances::get).sum();
                    return new CategoryLoss(
                            set.getKey(),
                            depth,
                            set.getValue().size(),
                            strikes,
                            loss.mean(),
                            loss.percentile(0.8),
                            loss.percentile(0.95),
                            whole == 0 ? 0 : loss.mean() / whole);
                })
                .toList();
        List<CategoryLoss> rows = new ArrayList<>();
        beneath(all, "", 0, rows);
        return rows;
    }

    private static void beneath(List<CategoryLoss> all, String above, int depth, List<CategoryLoss> rows) {
        all.stream()
                .filter(row -> row.depth() == depth && row.path().startsWith(above))
                .sorted((one, other) -> Double.compare(other.expected(), one.expected()))
                .forEach(row -> {
                    rows.add(row);
                    if (!row.path().equals(NONE)) {
                        beneath(all, row.path() + "/", depth + 1, rows);
                    }
                });
    }
}
