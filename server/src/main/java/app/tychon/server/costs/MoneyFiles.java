package app.tychon.server.costs;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Pruning;
import app.tychon.exchange.costs.MoneyColumn;
import app.tychon.exchange.costs.MoneyReader;
import app.tychon.exchange.costs.MoneyReader.Line;
import app.tychon.exchange.costs.MoneySubject;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Table;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.CostEdits;
import app.tychon.server.rows.RowEdit;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;

/**
 * Cost lines, resources or funding out of a table, on a plan: read, tried, and told cell by cell.
 *
 * @param after the plan with it; absent where something is wrong with it
 */
record MoneyFiles(MoneyReader.Read read, List<CellProblem> problems, Optional<Plan> after) {

    static MoneyFiles of(Table table, Plan plan) {
        MoneyReader.Read read = MoneyReader.read(table, plan);
        List<CellProblem> problems = new ArrayList<>(read.problems());
        Optional<Plan> after = Optional.empty();
        Edit edit = edit(read, plan);
        try {
            Plan tried = read.lines().isEmpty() ? plan : edit.apply(plan).plan();
            PlanRules.problems(tried).stream()
                    .map(problem -> edit.told(tried, problem))
                    .forEach(problem -> problems.add(cell(problem, read)));
            after = Optional.of(tried);
        } catch (InvalidPlanException e) {
            e.problems().forEach(problem -> problems.add(cell(problem, read)));
        }
        return new MoneyFiles(read, problems, problems.isEmpty() ? after : Optional.empty());
    }

    private static Edit edit(MoneyReader.Read read, Plan plan) {
        return switch (read.subject()) {
            case COSTS ->
                new CostEdits(read.lines().stream().map(MoneyFiles::cost).toList());
            case RESOURCES -> new ResourceEdits(body(read.lines(), "id"));
            case FUNDING -> new MoneyLists.FundingEdit(funding(read, plan));
        };
    }

    private static RowEdit cost(Line line) {
        boolean spreads = line.grade().isPresent() || line.range().isPresent();
        return RowEdit.cost(
                line.id(),
                !line.known(),
                line.fields(),
                line.grade().map(TextNode::new).orElse(null),
                line.range().isPresent() ? line.range().get() : spreads ? NullNode.getInstance() : null);
    }

    private static ArrayNode body(List<Line> lines, String key) {
        ArrayNode body = JsonNodeFactory.instance.arrayNode();
        for (Line line : lines) {
            ObjectNode edit = line.fields().deepCopy();
            edit.put(key, line.id());
            if (!line.known() && key.equals("id")) {
                edit.put("add", true);
            }
            body.add(edit);
        }
        return body;
    }

    /** Steps of the table first, then those that it has not, so that a problem is told by its row. */
    private static ArrayNode funding(MoneyReader.Read read, Plan plan) {
        ArrayNode body = body(read.lines(), "date");
        plan.funding().stream()
                .filter(step -> read.gone().containsKey(step.date().toString()))
                .forEach(step -> body.addObject()
                        .put("date", step.date().toString())
                        .put("amount", step.amount())
                        .put("name", step.name()));
        return body;
    }

    /** A problem of an edit, told where the table says it. */
    private static CellProblem cell(Problem problem, MoneyReader.Read read) {
        String[] steps = problem.pointer().split("/");
        boolean known = steps.length > 1 && steps[1].matches("\\d+");
        if (!known || Integer.parseInt(steps[1]) >= read.lines().size()) {
            return new CellProblem(1, read.subject().columns().get(0).title(), problem.message());
        }
        Line line = read.lines().get(Integer.parseInt(steps[1]));
        String field = steps.length > 3 && steps[2].equals("cost") ? steps[3] : steps.length > 2 ? steps[2] : "id";
        return new CellProblem(line.row(), column(field, read.subject()).title(), problem.message());
    }

    private static MoneyColumn column(String field, MoneySubject subject) {
        for (MoneyColumn column : subject.columns()) {
            if (column.field().equals(field)) {
                return column;
            }
        }
        return switch (field) {
            case "fixedShare" -> MoneyColumn.DUE;
            case "instalments", "timing" -> MoneyColumn.PAID;
            case "estimate" -> MoneyColumn.RANGE;
            default -> subject.columns().get(0);
        };
    }

    /** Takes a table over; what it has not is removed where that is asked. */
    record TakeOver(Table table, boolean removeGone) implements Edit {
        @Override
        public Outcome apply(Plan plan) {
            MoneyFiles file = of(table, plan);
            Plan after = file.after()
                    .orElseThrow(() -> new InvalidPlanException(file.problems().stream()
                            .map(p -> new Problem("/" + p.row() + "/" + p.column(), p.toString()))
                            .toList()));
            String label =
                    file.read().lines().size() + " " + file.read().subject().many() + " from a file";
            if (!removeGone || file.read().gone().isEmpty()) {
                return new Outcome(after, label);
            }
            HashSet<String> gone = new HashSet<>(file.read().gone().keySet());
            return switch (file.read().subject()) {
                case COSTS -> {
                    Pruning pruning = Pruning.of(after, gone);
                    yield new Outcome(pruning.plan(), label, pruning.gone());
                }
                case RESOURCES -> {
                    Outcome left = new ResourceRemoval(List.copyOf(gone)).apply(after);
                    yield new Outcome(left.plan(), label, left.gone());
                }
                case FUNDING ->
                    new Outcome(
                            after.withFunding(after.funding().stream()
                                    .filter(step -> !gone.contains(step.date().toString()))
                                    .toList()),
                            label);
            };
        }
    }
}
