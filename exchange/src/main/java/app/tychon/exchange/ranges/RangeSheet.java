package app.tychon.exchange.ranges;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.Numbers;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The ranges of a plan as the rows of a table, which {@link RangeReader} reads back. */
public final class RangeSheet {
    private static final List<Column> COLUMNS = List.of(
            new Column("Id", 12),
            new Column("Name", 44),
            new Column("Planned", 14),
            new Column("Grade", 12),
            new Column("Shape", 12),
            new Column("Low", 10),
            new Column("Likely", 10),
            new Column("High", 10),
            new Column("Parameters", 50));
    private static final int NAME = 1;

    private final Plan plan;
    private final Map<String, Grade> grades = new HashMap<>();
    private final List<Line> lines = new ArrayList<>();

    private RangeSheet(Plan plan) {
        this.plan = plan;
        plan.grades().forEach(grade -> grades.put(grade.id(), grade));
    }

    /** What is its own of each row: what a row inherits is the grade of a branch above it. */
    public static Sheet of(Plan plan) {
        RangeSheet sheet = new RangeSheet(plan);
        sheet.costs(Plan.PROJECT, 1);
        sheet.add(Optional.empty(), 1);
        return new Sheet("Ranges", COLUMNS, NAME + 1, NAME, sheet.lines);
    }

    private void add(Optional<String> parent, int level) {
        for (WbsNode node : plan.wbs()) {
            if (node.parent().equals(parent)) {
                lines.add(line(true, level, node.id(), node.name(), Optional.empty(), node.grade(), Optional.empty()));
                costs(node.id(), level + 1);
                plan.activities().stream()
                        .filter(a -> a.wbs().equals(node.id()) && a.kind() == ActivityKind.TASK)
                        .forEach(a -> activity(a, level + 1));
                add(Optional.of(node.id()), level + 1);
            }
        }
    }

    private void activity(Activity activity, int level) {
        Optional<Object> planned = Optional.of(activity.duration().toString());
        lines.add(line(false, level, activity.id(), activity.name(), planned, activity.grade(), activity.estimate()));
        costs(activity.id(), level + 1);
    }

    private void costs(String on, int level) {
        for (CostLine cost : plan.costs()) {
            if (cost.on().equals(on)) {
                Optional<Object> planned = Optional.of(cost.amount());
                lines.add(line(false, level, cost.id(), cost.name(), planned, cost.grade(), cost.estimate()));
            }
        }
    }

    private Line line(
            boolean branch,
            int level,
            String id,
            String name,
            Optional<Object> planned,
            Optional<String> grade,
            Optional<Estimate> estimate) {
        List<Optional<Object>> cells =
                new ArrayList<>(List.of(Optional.of(id), Optional.of(name), planned, grade.map(g -> grades.get(g)
                        .name())));
        cells.addAll(spread(estimate));
        return new Line(branch, level, cells);
    }

    /** Three points stand in cells; what they cannot say is told in the words of the project file. */
    private static List<Optional<Object>> spread(Optional<Estimate> estimate) {
        Optional<Object> none = Optional.empty();
        if (estimate.isEmpty()) {
            return List.of(none, none, none, none, none);
        }
        Shape shape = estimate.get().shape();
        Basis basis = estimate.get().basis();
        Optional<Object> word = Optional.of(EstimateJson.word(shape));
        boolean plain = basis != Basis.HOURS && shape.isSaidByPoints();
        Optional<Object> rest = plain ? none : Optional.of(JsonText.of(EstimateJson.write(estimate.get())));
        if (shape instanceof Shape.Triangular s && plain) {
            return List.of(word, cell(s.low(), basis), cell(s.likely(), basis), cell(s.high(), basis), rest);
        }
        if (shape instanceof Shape.Pert s && plain) {
            return List.of(word, cell(s.low(), basis), cell(s.likely(), basis), cell(s.high(), basis), rest);
        }
        if (shape instanceof Shape.Uniform s && plain) {
            return List.of(word, cell(s.low(), basis), none, cell(s.high(), basis), rest);
        }
        return List.of(word, none, none, none, rest);
    }

    private static Optional<Object> cell(double value, Basis basis) {
        return Optional.of(basis == Basis.FACTOR ? Numbers.text(100 * value) + " %" : (Object) value);
    }
}
