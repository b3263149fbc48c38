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
        @Nullable List<EvidenceView> evidence,
        @Nullable List<ResourceView> resources,
        @Nullable List<AssignmentView> assignments,
        @Nullable List<EscalationView> escalation,
        @Nullable List<FundingView> funding,
        @Nullable List<FigureView> figures) {

    /** Those that differ between two versions of a plan. */
    public static PlanParts differing(LoadedPlan before, LoadedPlan after, PlanMapping now) {
        Differing between = new Differing(before.plan(), after.plan());
        List<FigureView> figures = now.figures();
        return new PlanParts(
                between.in(Plan::calendars, now::calendars),
                between.in(Plan::grades, now::grades),
                // The ranges of cost lines come from grades, too.
                between.in(plan -> List.of(plan.costs(), plan.grades(), plan.wbs()), now::costs),
                between.in(Plan::correlations, now::correlations),
                between.in(Plan::evidence, now::evidence),
                between.in(Plan::resources, now::resources),
                between.in(Plan::assignments, now::assignments),
                between.in(Plan::escalation, now::escalation),
                between.in(Plan::funding, now::funding),
                // They follow dates and durations, too.
                figures.equals(FigureView.of(before)) ? null : figures);
    }

    private record Differing(Plan before, Plan after) {
        <T> List<T> in(Function<Plan, List<?>> section, Supplier<List<T>> now) {
            return section.apply(before).equals(section.apply(after)) ? null : now.get();
        }
    }
}
