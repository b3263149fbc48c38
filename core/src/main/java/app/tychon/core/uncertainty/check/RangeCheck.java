package app.tychon.core.uncertainty.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Plan;
import app.tychon.core.uncertainty.NearestCorrelation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Looks for ranges that are not worth believing. O(activities + cost lines), and O(n³) a correlation of n. */
public final class RangeCheck {
    /** Fewer three-point ranges show no habit. */
    static final int LEAST_FOR_A_HABIT = 10;

    static final double NEARLY_ALL = 0.9;
    static final double MOST = 0.5;
    static final int LEAST_COPIES = 5;
    /** A high end more than so many times the low, or the planned value, is extreme. */
    static final double EXTREME = 8;

    static final double FAR_ABOVE_PLAN = 4;
    /** On a plan with more ranges than this, moving all alone understates the spread. */
    static final int MANY_RANGES = 30;

    private final Plan plan;
    private final Estimates estimates;
    private final List<RangeFinding> findings = new ArrayList<>();
    private final List<RatedRange> ranges = new ArrayList<>();

    private RangeCheck(Plan plan) {
        this.plan = plan;
        estimates = Estimates.of(plan);
    }

    /** Everything that is found, fault by fault, in the plan's order. */
    public static List<RangeFinding> of(Plan plan) {
        RangeCheck check = new RangeCheck(plan);
        check.activities();
        check.costs();
        check.ranges.forEach(check::single);
        check.habits();
        check.copies();
        check.correlations();
        check.findings.sort(Comparator.comparing(RangeFinding::fault));
        return List.copyOf(check.findings);
    }

    private void found(RangeFault fault, String on, String message) {
        findings.add(new RangeFinding(fault, on, message, Acceptance.of(plan, fault, on, message)));
    }

    private void activities() {
        Map<String, CalendarDefinition> calendars =
                plan.calendars().stream().collect(Collectors.toMap(CalendarDefinition::id, Function.identity()));
        for (Activity activity : plan.activities()) {
            boolean ahead = activity.kind() == ActivityKind.TASK
                    && activity.progress().actualFinish().isEmpty()
                    && activity.duration().amount() > 0;
            if (!ahead) {
                continue;
            }
            estimates
                    .of(activity)
                    .ifPresentOrElse(
                            e -> ranges.add(RatedRange.of(activity, e, calendars.get(activity.calendar()))),
                            () -> found(
                                    RangeFault.NO_RANGE,
                                    activity.id(),
                                    activity.duration() + " planned, and no range: it counts as certain"));
        }
    }

    private void costs() {
        plan.costs().stream()
                .filter(line -> line.amount() != 0)
                .forEach(line -> estimates.of(line).ifPresent(e -> ranges.add(RatedRange.of(line, e))));
    }

    private void single(RatedRange range) {
        if (range.isCertain()) {
            found(RangeFault.SAID_CERTAIN, range.id(), "it is said to come out at exactly one value");
            return;
        }
        if (range.isLikelyCutOff()) {
            found(
                    RangeFault.LIKELY_CUT_OFF,
                    range.id(),
                    "its likely value, " + percent(range.likely().orElse(0)) + ", lies outside " + range.inPercent());
        }
        if (range.excludesPlanned()) {
            found(RangeFault.PLANNED_OUTSIDE, range.id(), "its range is " + range.inPercent());
        }
        if (range.high() > EXTREME * range.low() || range.high() > FAR_ABOVE_PLAN) {
            found(RangeFault.EXTREME_RATIO, range.id(), "its range is " + range.inPercent());
        }
    }

    /** What is no fault of a single range and tells of a habit when all have it. */
    private void habits() {
        List<RatedRange> own = ranges.stream()
                .filter(r -> r.own() && r.likely().isPresent() && !r.isCertain())
                .toList();
        habit(RangeFault.ANCHORED, own, RatedRange::isAnchored, NEARLY_ALL, "have the planned value as the likely one");
        habit(RangeFault.SYMMETRIC, own, RatedRange::isSymmetric, NEARLY_ALL, "reach as far down as up");
        List<RatedRange> spread = ranges.stream().filter(r -> !r.isCertain()).toList();
        habit(RangeFault.TEN_PERCENT, spread, RatedRange::isTenPercent, MOST, "are ten percent up and down");
    }

    private void habit(RangeFault fault, List<RatedRange> among, Predicate<RatedRange> has, double share, String what) {
        long count = among.stream().filter(has).count();
        if (among.size() >= LEAST_FOR_A_HABIT && count >= share * among.size()) {
            found(fault, Plan.PROJECT, count + " of " + among.size() + " ranges " + what);
        }
    }

    private void copies() {
        Map<String, List<RatedRange>> byBranch = ranges.stream()
                .filter(r -> r.own() && !r.isCertain())
                .collect(Collectors.groupingBy(RatedRange::branch, LinkedHashMap::new, Collectors.toList()));
        byBranch.forEach((branch, own) -> own.stream().collect(Collectors.groupingBy(RatedRange::key)).values().stream()
                .filter(same -> same.size() >= LEAST_COPIES && same.size() > MOST * own.size())
                .forEach(same -> found(
                        RangeFault.COPIED_RANGE,
                        branch,
                        same.size() + " of its " + own.size() + " ranges are the same, "
                                + same.get(0).inPercent())));
    }

    private void correlations() {
        for (Correlation correlation : plan.correlations()) {
            if (!NearestCorrelation.isPossibleOfRanks(correlation.asked())) {
                found(
                        RangeFault.IMPOSSIBLE_MATRIX,
                        Plan.PROJECT,
                        "the coefficients of \"" + correlation.name()
                                + "\" cannot hold together; the nearest that can are used");
            }
        }
        long spread = ranges.stream().filter(r -> !r.isCertain()).count();
        if (spread > MANY_RANGES && plan.correlations().isEmpty()) {
            found(
                    RangeFault.NO_CORRELATION,
                    Plan.PROJECT,
                    "all " + spread + " ranges move alone, so that good luck here cancels bad luck there");
        }
    }

    private static String percent(double factor) {
        return Math.round(100 * factor) + " %";
    }
}
