package app.tychon.server.rows;

import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.server.edits.Edit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Edits of cost lines: their grades and ranges. */
record CostEdits(List<RowEdit> edits) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        Estimates estimates = Estimates.of(plan);
        Map<String, CostLine> lines = new HashMap<>();
        plan.costs().forEach(line -> lines.put(line.id(), line));
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < edits.size(); i++) {
            RowEdit edit = edits.get(i);
            List<Problem> here = new ArrayList<>();
            lines.put(edit.id(), edited(lines.get(edit.id()), edit, estimates, here));
            int index = i;
            here.forEach(p -> problems.add(new Problem("/" + index + p.pointer(), p.message())));
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Plan after = plan.withCosts(
                plan.costs().stream().map(line -> lines.get(line.id())).toList());
        String what = edits.size() == 1
                ? edits.get(0).id() + ", " + lines.get(edits.get(0).id()).name()
                : edits.size() + " cost lines";
        return new Outcome(after, "Range of " + what);
    }

    private static CostLine edited(CostLine line, RowEdit edit, Estimates estimates, List<Problem> problems) {
        CostLine after = line.withGrade(SpreadFields.grade(edit.grade(), line.grade(), problems))
                .withEstimate(
                        SpreadFields.estimate(edit, line.estimate(), estimates.gradeOf(line), Basis.MONEY, problems));
        if (problems.isEmpty()) {
            after.estimate().ifPresent(e -> EstimateRules.problems(e, EstimateRules.Subject.COST)
                    .forEach(p -> problems.add(new Problem("/estimate" + p.pointer(), p.message()))));
        }
        return after;
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return RowPointer.told(
                problem,
                "costs",
                i -> plan.costs().get(i).id(),
                edits.stream().map(RowEdit::id).toList());
    }
}
