package app.tychon.server.ranges;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Grade;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.SpreadJson;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Reasons;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The table of grades, put in place of what was there.
 *
 * @param definition a list of grades in the words of the project file, from narrow to wide
 */
record GradesEdit(JsonNode definition) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        List<Grade> grades = JsonCursor.at(definition, problems).elements(SpreadJson::grade);
        Set<String> kept = grades.stream().map(Grade::id).collect(Collectors.toSet());
        plan.grades().stream().filter(grade -> !kept.contains(grade.id())).forEach(grade -> stillUsed(plan, grade)
                .ifPresent(problems::add));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Plan after = plan.edit().grades(grades).done();
        Set<String> other = plan.grades().stream()
                .filter(grade -> !grades.contains(grade))
                .map(Grade::id)
                .collect(Collectors.toSet());
        return new Outcome(Reasons.without(after, other), "Table of grades");
    }

    private static Optional<Problem> stillUsed(Plan plan, Grade grade) {
        long users = Stream.of(
                        plan.wbs().stream().map(WbsNode::grade),
                        plan.activities().stream().map(Activity::grade),
                        plan.costs().stream().map(CostLine::grade))
                .flatMap(s -> s)
                .filter(Optional.of(grade.id())::equals)
                .count();
        return users == 0
                ? Optional.empty()
                : Optional.of(new Problem(
                        "",
                        "grade \"" + grade.name() + "\" is used by " + users + (users == 1 ? " row" : " rows")
                                + "; give " + (users == 1 ? "it" : "them") + " another first"));
    }

    /** Pointers lead into the list. */
    @Override
    public Problem told(Plan plan, Problem problem) {
        return new Problem(problem.pointer().replaceFirst("^/grades", ""), problem.message());
    }
}
