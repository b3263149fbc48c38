package app.tychon.server.risks;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Problem;
import app.tychon.exchange.risks.RegisterColumns;
import app.tychon.exchange.risks.RegisterReader;
import app.tychon.exchange.risks.RegisterReader.Line;
import app.tychon.exchange.risks.RiskColumn;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Table;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A register out of a table, on a plan: read, tried, and told cell by cell.
 *
 * @param columns what each column says
 * @param after   the plan with it; absent where something is wrong with it
 */
record RegisterFiles(
        Map<RiskColumn, Integer> columns, RegisterReader.Read read, List<CellProblem> problems, Optional<Plan> after) {

    static RegisterFiles of(Table table, Plan plan) {
        Map<RiskColumn, Integer> columns = RegisterColumns.guess(table);
        RegisterReader.Read read = RegisterReader.read(table, columns, plan);
        List<CellProblem> problems = new ArrayList<>(read.problems());
        Optional<Plan> after = Optional.empty();
        RiskEdits edits = new RiskEdits(body(read.lines()));
        try {
            Plan tried = edits.apply(plan).plan();
            List<Problem> found = PlanRules.problems(tried).stream()
                    .map(problem -> edits.told(tried, problem))
                    .toList();
            found.forEach(problem -> problems.add(cell(problem, read.lines())));
            after = Optional.of(tried);
        } catch (InvalidPlanException e) {
            e.problems().forEach(problem -> problems.add(cell(problem, read.lines())));
        }
        return new RegisterFiles(columns, read, problems, problems.isEmpty() ? after : Optional.empty());
    }

    private static ArrayNode body(List<Line> lines) {
        ArrayNode body = JsonNodeFactory.instance.arrayNode();
        lines.forEach(line -> body.add(line.edit()));
        return body;
    }

    /** A problem of an edit, told where the table says it. */
    private static CellProblem cell(Problem problem, List<Line> lines) {
        String[] steps = problem.pointer().split("/");
        boolean known = steps.length > 2 && steps[1].matches("\\d+");
        if (!known) {
            return new CellProblem(1, RiskColumn.TITLE.title(), problem.message());
        }
        Line line = lines.get(Integer.parseInt(steps[1]));
        return new CellProblem(line.row(), column(steps[2], line).title(), problem.message());
    }

    private static RiskColumn column(String field, Line line) {
        for (RiskColumn column : RiskColumn.values()) {
            if (column.field().equals(field)) {
                return column;
            }
        }
        return switch (field) {
            case "id", "code" -> RiskColumn.CODE;
            case "probability" -> RiskColumn.CHANCE;
            case "impacts" -> line.edit().has("time") ? RiskColumn.TIME : RiskColumn.MONEY;
            default -> RiskColumn.MORE;
        };
    }

    /** Takes a register over; risks that it has not are removed where that is asked. */
    record TakeOver(Table table, boolean removeGone) implements Edit {
        @Override
        public Outcome apply(Plan plan) {
            RegisterFiles file = of(table, plan);
            Plan after = file.after()
                    .orElseThrow(() -> new InvalidPlanException(file.problems().stream()
                            .map(p -> new Problem("/" + p.row() + "/" + p.column(), p.toString()))
                            .toList()));
            List<String> gone = new ArrayList<>();
            Plan left = removeGone
                    ? RiskCodes.without(after, new HashSet<>(file.read().gone()), gone)
                    : after;
            return new Outcome(left, "Register of " + file.read().lines().size() + " risks from a file", gone);
        }
    }
}
