package app.tychon.server.ranges;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.EstimateRules.Subject;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.server.edits.Edits;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.rows.RowEdit;
import app.tychon.server.rows.RowEdits;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What ranges that are not kept yet would mean. */
@Service
class RangeService {
    private final PlanStore plans;
    private final Edits edits;
    private final LiveOdds live;
    private final EnginePool pool;

    RangeService(PlanStore plans, Edits edits, LiveOdds live, EnginePool pool) {
        this.plans = plans;
        this.edits = edits;
        this.live = live;
        this.pool = pool;
    }

    /** @throws InvalidPlanException with the problem of every parameter, such as {@code /low} */
    RangeLook look(UUID project, String row, JsonNode words) {
        LoadedPlan loaded = plans.find(project);
        Plan plan = loaded.plan();
        Optional<Activity> activity =
                plan.activities().stream().filter(a -> a.id().equals(row)).findFirst();
        if (activity.isPresent()) {
            Optional<Estimate> estimate = Optional.of(read(words, Subject.DURATION));
            return RangeLook.of(estimate, EstimateSpread.of(activity.get(), estimate, plan.calendarOf(activity.get())));
        }
        CostLine line = plan.costs().stream()
                .filter(c -> c.id().equals(row))
                .findFirst()
                .orElseThrow(
                        () -> new NotFoundException("There is no activity or cost line \"" + row + "\" in this plan."));
        Optional<Estimate> estimate = Optional.of(read(words, Subject.COST));
        return RangeLook.of(estimate, EstimateSpread.of(line.withAmount(loaded.whole(row)), estimate));
    }

    private static Estimate read(JsonNode words, Subject subject) {
        List<Problem> problems = new ArrayList<>();
        Estimate estimate =
                EstimateJson.read(JsonCursor.at(words, problems), subject == Subject.COST ? Basis.MONEY : Basis.DAYS);
        if (problems.isEmpty()) {
            problems.addAll(EstimateRules.problems(estimate, subject));
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return estimate;
    }

    RangeEffect effect(UUID project, String row, JsonNode words) {
        Plan after = edits.look(project, new RowEdits(List.of(RowEdit.spread(row, null, words))))
                .plan();
        return new RangeEffect(
                live.first(project),
                pool.await(
                        Urgency.AWAITED,
                        project,
                        bytes(after, LiveOdds.FIRST),
                        monitor -> Outlook.of(CompiledPlan.of(after), LiveOdds.FIRST, monitor)));
    }

    /** The odds with all that moves together, and as if everything moved alone. */
    CorrelationEffect correlations(UUID project) {
        LoadedPlan loaded = plans.find(project);
        long bytes = bytes(loaded.plan(), CorrelationEffect.ITERATIONS);
        return pool.await(Urgency.AWAITED, project, bytes, monitor -> {
            CompiledPlan plan = CompiledPlan.of(loaded.network(), loaded.schedule());
            CompiledPlan alone = plan.with(Variation.CURRENT.withCorrelations(false));
            return CorrelationEffect.of(
                    plan,
                    Outlook.of(plan, CorrelationEffect.ITERATIONS, monitor),
                    Outlook.of(alone, CorrelationEffect.ITERATIONS, monitor));
        });
    }

    private static long bytes(Plan plan, int iterations) {
        return RunNeeds.of(plan, Outlook.settings(iterations)).bytes();
    }
}
