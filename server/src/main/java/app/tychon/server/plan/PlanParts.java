package app.tychon.server.plan;

import app.tychon.core.model.Plan;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Sections of a plan that the interface takes over as a whole wherever anything of them differs; the others are absent.
 * Their names are those of {@link PlanView}.
 */
public record PlanParts(
        @Nullable List<CalendarView> calendars,
        @Nullable List<GradeView> grades,
        @Nullable List<CostView> costs,
        @Nullable List<CorrelationView> correlations,
        @Nullable List<EvidenceView> evidence) {

    /** Those that differ between two versions of a plan. */
    public static PlanParts differing(Plan before, Plan after, PlanMapping now) {
        Differing between = new Differing(before, after);
        return new PlanParts(
                between.in(Plan::calendars, now::calendars),
                between.in(Plan::grades, now::grades),
                // The ranges of cost lines come from grades, too.
                between.in(plan -> List.of(plan.costs(), plan.grades(), plan.wbs()), now::costs),
                between.in(Plan::correlations, now::correlations),
                between.in(Plan::evidence, now::evidence));
    }

    private record Differing(Plan before, Plan after) {
        <T> List<T> in(Function<Plan, List<?>> section, Supplier<List<T>> now) {
            return section.apply(before).equals(section.apply(after)) ? null : now.get();
        }
    }
}
