package app.tychon.server.rows;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.WbsNode;
import app.tychon.server.edits.Edit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Edits of rows as a list, as one: a cell, a selection of any rows, a pasted block. */
public final class RowEdits implements Edit {
    private final List<RowEdit> edits;
    private final List<Part> parts = new ArrayList<>();

    public RowEdits(List<RowEdit> edits) {
        this.edits = edits;
    }

    /**
     * The edits of one kind of row.
     *
     * @param indices which of all edits they are
     */
    private record Part(Edit edit, List<Integer> indices) {
        /** A problem of the part, told in the order of all edits. */
        Problem lifted(Problem problem) {
            String[] steps = problem.pointer().split("/", 3);
            if (steps.length < 2 || !steps[1].matches("\\d+")) {
                return problem;
            }
            String rest = steps.length > 2 ? "/" + steps[2] : "";
            return new Problem("/" + indices.get(Integer.parseInt(steps[1])) + rest, problem.message());
        }
    }

    @Override
    public Outcome apply(Plan before) {
        split(before);
        Plan plan = before;
        List<String> labels = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        for (Part part : parts) {
            try {
                Outcome outcome = part.edit().apply(plan);
                plan = outcome.plan();
                labels.add(outcome.label());
            } catch (InvalidPlanException e) {
                e.problems().forEach(p -> problems.add(part.lifted(p)));
            }
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Set<String> ranged = edits.stream()
                .filter(e -> e.estimate() != null || e.grade() != null || e.certain() != null)
                .map(RowEdit::id)
                .collect(Collectors.toSet());
        return new Outcome(
                Reasons.without(plan, ranged), labels.size() == 1 ? labels.get(0) : edits.size() + " rows edited");
    }

    private void split(Plan plan) {
        Set<String> branches = plan.wbs().stream().map(WbsNode::id).collect(Collectors.toSet());
        Set<String> costs = plan.costs().stream().map(CostLine::id).collect(Collectors.toSet());
        List<Integer> ofBranches = new ArrayList<>();
        List<Integer> ofCosts = new ArrayList<>();
        List<Integer> ofActivities = new ArrayList<>();
        for (int i = 0; i < edits.size(); i++) {
            String id = edits.get(i).isNew() ? "" : edits.get(i).id();
            boolean isCost = costs.contains(id) || edits.get(i).isNewCost();
            (branches.contains(id) ? ofBranches : isCost ? ofCosts : ofActivities).add(i);
        }
        parts.clear();
        if (!ofBranches.isEmpty()) {
            parts.add(new Part(
                    new BranchEdits(ofBranches.stream()
                            .map(i -> edits.get(i).ofBranch())
                            .toList()),
                    ofBranches));
        }
        if (!ofCosts.isEmpty()) {
            parts.add(new Part(new CostEdits(ofCosts.stream().map(edits::get).toList()), ofCosts));
        }
        if (!ofActivities.isEmpty()) {
            parts.add(new Part(
                    new ActivityEdits(ofActivities.stream().map(edits::get).toList()), ofActivities));
        }
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        for (Part part : parts) {
            Problem told = part.edit().told(plan, problem);
            if (!told.equals(problem)) {
                return part.lifted(told);
            }
        }
        return problem;
    }
}
