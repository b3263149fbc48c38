package app.tychon.server.rows;

import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Edits of cost lines, and new ones: their money, grades and ranges. */
public final class CostEdits implements Edit {
    private static final String FIRST_CODE = "K00";
    private static final Map<String, String> WORDS = Map.of(
            "name", "Name",
            "on", "Place",
            "amount", "Amount",
            "due", "Share due",
            "perDay", "Day rate",
            "paid", "Payment",
            "category", "Category",
            "spent", "Money spent",
            "toGo", "Money to go");

    private final List<RowEdit> edits;
    /** Codes of the lines that edits are about, edit by edit. */
    private final List<String> about = new ArrayList<>();

    public CostEdits(List<RowEdit> edits) {
        this.edits = edits;
    }

    @Override
    public Outcome apply(Plan plan) {
        Estimates estimates = Estimates.of(plan);
        Map<String, CostLine> lines = new LinkedHashMap<>();
        plan.costs().forEach(line -> lines.put(line.id(), line));
        CostFields fields = new CostFields(plan);
        Codes codes = new Codes(plan);
        String last = plan.costs().isEmpty()
                ? FIRST_CODE
                : plan.costs().get(plan.costs().size() - 1).id();
        List<Problem> problems = new ArrayList<>();
        about.clear();
        int added = 0;
        for (int i = 0; i < edits.size(); i++) {
            RowEdit edit = edits.get(i);
            List<Problem> here = new ArrayList<>();
            String id = edit.id().strip();
            if (edit.isNew()) {
                added++;
                id = id.isEmpty() ? codes.next(last) : id;
                last = id;
                if (!codes.take(id)) {
                    here.add(new Problem("/id", "there is already a row \"" + id + "\""));
                }
            } else if (!lines.containsKey(id)) {
                here.add(new Problem("/id", "there is no cost line \"" + id + "\""));
            }
            about.add(id);
            if (here.isEmpty()) {
                CostLine line = edit.isNew() ? CostLine.of(id, "New cost", Plan.PROJECT, 0) : lines.get(id);
                lines.put(id, edited(line, edit, fields, estimates, here));
            }
            int index = i;
            here.forEach(p -> problems.add(new Problem("/" + index + p.pointer(), p.message())));
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return new Outcome(plan.withCosts(List.copyOf(lines.values())), label(lines, added));
    }

    private String label(Map<String, CostLine> lines, int added) {
        String first = about.get(0) + ", " + lines.get(about.get(0)).name();
        if (added > 0) {
            return added == 1 ? "New cost line " + first : added + " cost lines added";
        }
        Set<String> words = new TreeSet<>();
        for (RowEdit edit : edits) {
            if (edit.cost() != null) {
                edit.cost().fieldNames().forEachRemaining(name -> words.add(WORDS.getOrDefault(name, "Entry")));
            }
            if (edit.grade() != null || edit.estimate() != null || edit.certain() != null) {
                words.add("Range");
            }
        }
        String what = words.size() == 1 ? words.iterator().next() : "Several fields";
        return what + " of " + (edits.size() == 1 ? first : edits.size() + " cost lines");
    }

    private static CostLine edited(
            CostLine line, RowEdit edit, CostFields fields, Estimates estimates, List<Problem> problems) {
        CostLine priced = fields.edited(
                line, edit.cost() == null ? JsonNodeFactory.instance.objectNode() : edit.cost(), "/cost", problems);
        CostLine after = priced.withGrade(SpreadFields.grade(edit.grade(), line.grade(), problems))
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
        return RowPointer.told(problem, "costs", i -> plan.costs().get(i).id(), about);
    }
}
