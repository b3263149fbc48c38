package app.tychon.server.ranges;

import app.tychon.core.model.Evidence;
import app.tychon.core.model.EvidenceRules;
import app.tychon.core.model.Grade;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.SpreadJson;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Codes;
import app.tychon.server.rows.RowEdit;
import app.tychon.server.rows.RowEdits;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A range fitted to past work, given to rows or kept as a grade; the past work stays with the project as its reason. In
 * JSON: {@code {"evidence":{…},"estimate":{…},"rows":["A10"],"grade":{"name":…,"mark":…,"note":…}}}; rows and grade may be
 * absent, the estimate of a grade is in factors.
 */
record EvidenceEdit(JsonNode body) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        JsonCursor at = JsonCursor.at(body, problems).allow(Set.of("evidence", "estimate", "rows", "grade"));
        Evidence given = SpreadJson.evidence(at.get("evidence"));
        EvidenceRules.problems(given).forEach(p -> problems.add(new Problem("/evidence" + p.pointer(), p.message())));
        List<String> rows = at.list("rows", JsonCursor::text);
        boolean graded = !at.get("grade").isAbsent();
        if (rows.isEmpty() && !graded) {
            problems.add(new Problem("/rows", "say which rows get the range, or keep it as a grade"));
        }
        if (graded && !given.isOfRatios()) {
            problems.add(new Problem(
                    "/grade", "a grade counts in multiples of the planned value; this evidence has no planned values"));
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Plan fitted = plan;
        List<String> on = new ArrayList<>(rows);
        if (graded) {
            Grade grade = grade(plan);
            on.add(grade.id());
            List<Grade> grades = new ArrayList<>(plan.grades());
            grades.add(grade);
            fitted = plan.edit().grades(grades).done();
        }
        fitted = applied(fitted, rows);
        List<Evidence> all = new ArrayList<>(fitted.evidence());
        String id = Codes.free("V", all.stream().map(Evidence::id).toList());
        all.add(new Evidence(id, given.name(), given.observations(), on));
        return new Outcome(fitted.edit().evidence(all).done(), "Range fitted to " + given.name());
    }

    private Grade grade(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.setAll((ObjectNode) body.get("estimate"));
        node.remove("basis");
        node.setAll((ObjectNode) body.get("grade"));
        node.put("id", Codes.free("F", plan.grades().stream().map(Grade::id).toList()));
        Grade grade = SpreadJson.grade(JsonCursor.at(node, "/grade", problems));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return grade;
    }

    private Plan applied(Plan plan, List<String> rows) {
        if (rows.isEmpty()) {
            return plan;
        }
        JsonNode estimate = body.path("estimate");
        try {
            return new RowEdits(rows.stream()
                            .map(row -> RowEdit.spread(row, null, estimate))
                            .toList())
                    .apply(plan)
                    .plan();
        } catch (InvalidPlanException e) {
            throw new InvalidPlanException(e.problems().stream()
                    .map(p -> new Problem(p.pointer().replaceFirst("^/\\d+", ""), p.message()))
                    .distinct()
                    .toList());
        }
    }
}
