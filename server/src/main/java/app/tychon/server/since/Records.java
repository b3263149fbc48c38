package app.tychon.server.since;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WbsNode;
import app.tychon.core.scenario.TrackRecord;
import app.tychon.core.scenario.TrackRecord.Fact;
import app.tychon.core.scenario.Widening;
import app.tychon.server.since.RecordView.FactRow;
import app.tychon.server.since.RecordView.TallyGroup;
import app.tychon.server.since.RecordView.TallyView;
import app.tychon.server.since.RecordView.WiderGrade;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Tells the track record of a plan. */
final class Records {
    private final Plan plan;
    private final Estimates estimates;
    private final List<Fact> facts;

    /** @param given the plan in which a range is looked up, by id of an activity or a cost line */
    Records(Plan plan, Function<String, Plan> given) {
        this.plan = plan;
        estimates = Estimates.of(plan);
        facts = TrackRecord.of(plan, given);
    }

    RecordView view() {
        List<TallyGroup> groups = new ArrayList<>();
        plan.grades().forEach(grade -> group("grade", grade.id(), grade.name(), open(grade.id()), fact -> fact.grade()
                        .filter(grade.id()::equals)
                        .isPresent())
                .ifPresent(groups::add));
        group("grade", "", "Ranges of their own", ownOpen(), fact -> fact.grade()
                        .isEmpty())
                .ifPresent(groups::add);
        Map<String, String> branches = plan.wbs().stream().collect(Collectors.toMap(WbsNode::id, WbsNode::name));
        facts.stream().map(Fact::branch).distinct().forEach(id -> group(
                        "branch",
                        id,
                        branches.getOrDefault(id, "The project as a whole"),
                        openIn(id),
                        fact -> fact.branch().equals(id))
                .ifPresent(groups::add));
        plan.resources().forEach(resource -> group(
                        "resource", resource.id(), resource.name(), openOf(resource), fact -> fact.resources()
                                .contains(resource.id()))
                .ifPresent(groups::add));
        return new RecordView(
                TallyView.of(facts), groups, facts.stream().map(FactRow::of).toList(), wider());
    }

    private Optional<TallyGroup> group(String by, String id, String name, int open, Predicate<Fact> which) {
        List<Fact> own = facts.stream().filter(which).toList();
        return own.isEmpty() ? Optional.empty() : Optional.of(new TallyGroup(by, id, name, open, TallyView.of(own)));
    }

    private static boolean isOpen(Activity activity) {
        return activity.kind() == ActivityKind.TASK && !activity.progress().isFinished();
    }

    private static boolean isOpen(CostLine line) {
        return line.toGo().filter(money -> money == 0).isEmpty();
    }

    private int open(String grade) {
        Function<Optional<Grade>, Boolean> is =
                its -> its.filter(one -> one.id().equals(grade)).isPresent();
        return count(
                activity -> activity.estimate().isEmpty() && is.apply(estimates.gradeOf(activity)),
                line -> line.estimate().isEmpty() && is.apply(estimates.gradeOf(line)));
    }

    private int ownOpen() {
        return count(activity -> activity.estimate().isPresent(), line -> line.estimate()
                .isPresent());
    }

    private int openIn(String branch) {
        return count(
                activity -> activity.wbs().equals(branch), line -> line.on().equals(branch));
    }

    private int openOf(Resource resource) {
        return count(
                activity -> plan.assignments().stream()
                        .anyMatch(one -> one.activity().equals(activity.id())
                                && one.resource().equals(resource.id())),
                line -> false);
    }

    private int count(Predicate<Activity> activities, Predicate<CostLine> lines) {
        return (int) (plan.activities().stream()
                        .filter(Records::isOpen)
                        .filter(activities)
                        .count()
                + plan.costs().stream().filter(Records::isOpen).filter(lines).count());
    }

    private List<WiderGrade> wider() {
        return plan.grades().stream()
                .flatMap(grade -> wider(grade).map(shape -> row(grade, shape)).stream())
                .toList();
    }

    /** What a grade would become that has been too narrow. */
    Optional<Shape> wider(Grade grade) {
        return Widening.of(
                grade.shape(),
                facts.stream()
                        .filter(fact -> fact.grade().filter(grade.id()::equals).isPresent())
                        .mapToDouble(Fact::ratio)
                        .toArray());
    }

    private WiderGrade row(Grade grade, Shape wide) {
        double likely = grade.shape() instanceof Shape.Triangular s
                ? s.likely()
                : grade.shape() instanceof Shape.Pert p ? p.likely() : Double.NaN;
        return new WiderGrade(
                grade.id(),
                grade.name(),
                open(grade.id()),
                end(grade.shape(), true),
                likely,
                end(grade.shape(), false),
                end(wide, true),
                end(wide, false));
    }

    private static double end(Shape shape, boolean low) {
        if (shape instanceof Shape.Triangular s) {
            return low ? s.low() : s.high();
        }
        Shape.Pert p = (Shape.Pert) shape;
        return low ? p.low() : p.high();
    }
}
