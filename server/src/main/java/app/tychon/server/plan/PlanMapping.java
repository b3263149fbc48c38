package app.tychon.server.plan;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.DurationUnit;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.exchange.EstimateJson;
import app.tychon.server.project.ProjectView;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** From the calculated plan to what the interface shows. */
public final class PlanMapping {
    private final LoadedPlan loaded;
    private final Plan plan;
    private final Map<String, CalendarDefinition> calendars;
    private final Estimates estimates;
    /** Of many rows with one grade, those of one length look the same. */
    private final Map<Said, RangeView> ranges = new HashMap<>();

    public PlanMapping(LoadedPlan loaded) {
        this.loaded = loaded;
        plan = loaded.plan();
        estimates = Estimates.of(plan);
        calendars = plan.calendars().stream().collect(Collectors.toMap(CalendarDefinition::id, Function.identity()));
    }

    PlanView view(ProjectView project) {
        return new PlanView(
                project,
                Instants.toCivil(loaded.schedule().finish()),
                loaded.cost(),
                branches(),
                activities(),
                plan.links().stream().map(LinkView::of).toList(),
                calendars(),
                grades(),
                costs(),
                correlations(),
                evidence(),
                resources(),
                assignments(),
                escalation(),
                funding(),
                figures());
    }

    List<ResourceView> resources() {
        return plan.resources().stream().map(ResourceView::of).toList();
    }

    List<AssignmentView> assignments() {
        return plan.assignments().stream().map(AssignmentView::of).toList();
    }

    List<EscalationView> escalation() {
        return plan.escalation().stream().map(EscalationView::of).toList();
    }

    List<FundingView> funding() {
        return plan.funding().stream().map(FundingView::of).toList();
    }

    List<FigureView> figures() {
        return FigureView.of(loaded);
    }

    List<CorrelationView> correlations() {
        return plan.correlations().stream().map(CorrelationView::of).toList();
    }

    List<EvidenceView> evidence() {
        return plan.evidence().stream().map(EvidenceView::of).toList();
    }

    List<GradeView> grades() {
        return plan.grades().stream().map(GradeView::of).toList();
    }

    List<CostView> costs() {
        Map<String, Double> amounts = new HashMap<>();
        loaded.items().forEach(item -> amounts.put(item.id(), item.whole()));
        return plan.costs().stream()
                .map(line -> CostView.of(line, amounts.get(line.id()), estimates))
                .toList();
    }

    List<CalendarView> calendars() {
        return plan.calendars().stream().map(PlanMapping::calendar).toList();
    }

    private List<ActivityView> activities() {
        return IntStream.range(0, plan.activities().size())
                .mapToObj(this::activity)
                .toList();
    }

    /** One activity, by its place in the plan. */
    public ActivityView activity(int index) {
        Activity activity = plan.activities().get(index);
        ScheduledActivity dates = loaded.schedule().activities().get(index);
        CalendarDefinition calendar = calendars.get(activity.calendar());
        double day = activity.minutesPerDay(calendar);
        return new ActivityView(
                activity.id(),
                activity.wbs(),
                activity.name(),
                activity.kind().name().toLowerCase(Locale.ROOT),
                activity.duration().toString(),
                activity.calendar(),
                Instants.toCivil(dates.earlyStart()),
                Instants.toCivil(dates.earlyFinish()),
                dates.totalFloat() / day,
                dates.freeFloat() / day,
                dates.onLongestPath(),
                Instants.toCivil(dates.lateStart()),
                Instants.toCivil(dates.lateFinish()),
                activity.constraint().map(ConstraintView::of).orElse(null),
                activity.progress().actualStart().orElse(null),
                activity.progress().actualFinish().orElse(null),
                activity.progress().remaining().map(WorkDuration::toString).orElse(null),
                activity.grade().orElse(null),
                estimates.inherited(activity.wbs()).map(Grade::id).orElse(null),
                activity.estimate().map(EstimateJson::write).orElse(null),
                activity.watch(),
                activity.combineRisks().name().toLowerCase(Locale.ROOT),
                activity.notes().isEmpty() ? null : activity.notes(),
                range(activity, dates, calendar));
    }

    /** A hammock lasts as long as what it spans. */
    private RangeView range(Activity activity, ScheduledActivity dates, CalendarDefinition calendar) {
        Optional<Estimate> estimate = estimates.of(activity);
        Activity lasting = activity;
        if (activity.isHammock()) {
            WorkingTime time = loaded.network().time(loaded.network().position(activity.id()));
            double minutes = time.work(dates.earlyFinish()) - time.work(dates.earlyStart());
            lasting = activity.withDuration(new WorkDuration(minutes, DurationUnit.MINUTES));
        }
        EstimateSpread spread = EstimateSpread.of(lasting, estimate, calendar);
        return ranges.computeIfAbsent(
                new Said(estimate, spread.planned(), lasting.minutesPerDay(calendar)),
                said -> RangeView.of(estimate, EstimateRange.of(spread, EstimateRange.POINTS)));
    }

    /** All that a range depends on. */
    private record Said(Optional<Estimate> estimate, double plannedDays, double minutesPerDay) {}

    /** Each branch spans the work beneath it, at any depth. */
    public List<BranchView> branches() {
        Map<String, String> parents = new HashMap<>();
        plan.wbs().forEach(node -> node.parent().ifPresent(parent -> parents.put(node.id(), parent)));
        Map<String, Double> starts = new HashMap<>();
        Map<String, Double> finishes = new HashMap<>();
        Set<String> withWork = new HashSet<>();
        plan.activities().stream()
                .filter(activity -> !activity.isHammock())
                .forEach(activity -> above(activity.wbs(), parents).forEach(withWork::add));
        for (int i = 0; i < plan.activities().size(); i++) {
            ScheduledActivity dates = loaded.schedule().activities().get(i);
            Activity activity = plan.activities().get(i);
            // A hammock widens no branch that holds anything else.
            above(activity.wbs(), parents)
                    .filter(branch -> !activity.isHammock() || !withWork.contains(branch))
                    .forEach(branch -> {
                        starts.merge(branch, dates.earlyStart(), Math::min);
                        finishes.merge(branch, dates.earlyFinish(), Math::max);
                    });
        }
        return plan.wbs().stream()
                .map(node -> branch(node, starts.get(node.id()), finishes.get(node.id())))
                .toList();
    }

    /** A branch and those above it. */
    private static Stream<String> above(String branch, Map<String, String> parents) {
        return Stream.iterate(branch, Objects::nonNull, parents::get);
    }

    private BranchView branch(WbsNode node, Double start, Double finish) {
        return new BranchView(
                node.id(),
                node.parent().orElse(null),
                node.code(),
                node.name(),
                node.grade().orElse(null),
                node.parent().flatMap(estimates::inherited).map(Grade::id).orElse(null),
                start == null ? null : Instants.toCivil(start),
                finish == null ? null : Instants.toCivil(finish));
    }

    private static CalendarView calendar(CalendarDefinition calendar) {
        return new CalendarView(
                calendar.id(),
                calendar.name(),
                calendar.hoursPerDay(),
                Arrays.stream(DayOfWeek.values())
                        .filter(day -> calendar.shiftsOn(day).isEmpty())
                        .map(DayOfWeek::getValue)
                        .toList(),
                calendar.exceptions().stream()
                        .filter(e -> e.shifts().isEmpty())
                        .map(e -> new CalendarView.Closure(e.from(), e.to(), e.name()))
                        .toList());
    }
}
