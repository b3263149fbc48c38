package app.tychon.exchange.costs;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.exchange.Words;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Cost lines, resources and funding as tables, which {@link MoneyReader} reads back unchanged. */
public final class MoneySheet {
    private MoneySheet() {}

    public static Sheet costs(Plan plan) {
        return of("Costs", MoneySubject.COSTS, plan.costs(), MoneySheet::cell);
    }

    public static Sheet resources(Plan plan) {
        return of("Resources", MoneySubject.RESOURCES, plan.resources(), (one, column) -> cell(plan, one, column));
    }

    public static Sheet funding(Plan plan) {
        return of("Funding", MoneySubject.FUNDING, plan.funding(), (step, column) -> switch (column) {
            case DATE -> step.date().toString();
            case AMOUNT -> step.amount();
            default -> step.name();
        });
    }

    private static <T> Sheet of(
            String title, MoneySubject subject, List<T> rows, BiFunction<T, MoneyColumn, Object> cell) {
        List<MoneyColumn> columns = subject.columns();
        Function<T, Line> line = row -> {
            List<Optional<Object>> cells = new ArrayList<>();
            for (MoneyColumn column : columns) {
                Object value = cell.apply(row, column);
                cells.add(value.equals("") ? Optional.empty() : Optional.of(value));
            }
            return new Line(false, 1, cells);
        };
        int name = columns.indexOf(MoneyColumn.NAME);
        return new Sheet(
                title,
                columns.stream()
                        .map(column -> new Column(column.title(), width(column)))
                        .toList(),
                2,
                name,
                rows.stream().map(line).toList());
    }

    private static int width(MoneyColumn column) {
        return switch (column) {
            case NAME, PAID, RANGE, WORK -> 36;
            case CATEGORY, RATE -> 24;
            default -> 12;
        };
    }

    private static Object cell(CostLine line, MoneyColumn column) {
        return switch (column) {
            case CODE -> line.id();
            case NAME -> line.name();
            case ON -> line.on();
            case AMOUNT -> line.amount();
            case PER_DAY -> line.perDay().<Object>map(rate -> rate).orElse("");
            case DUE -> ShareText.of(line.fixedShare());
            case PAID -> PaymentText.of(line);
            case CATEGORY -> line.category();
            case SPENT -> line.spent().<Object>map(money -> money).orElse("");
            case TO_GO -> line.toGo().<Object>map(money -> money).orElse("");
            case GRADE -> line.grade().orElse("");
            case RANGE -> line.estimate().map(RangeCell::of).orElse("");
            default -> "";
        };
    }

    private static Object cell(Plan plan, Resource one, MoneyColumn column) {
        return switch (column) {
            case CODE -> one.id();
            case NAME -> one.name();
            case RATE -> RateText.of(one);
            case PER -> Words.of(one.per());
            case LIMIT -> one.limit().<Object>map(most -> most).orElse("");
            case CATEGORY -> one.category();
            case WORK ->
                CrewText.places(plan.assignments().stream()
                        .filter(work -> work.resource().equals(one.id()))
                        .toList());
            default -> "";
        };
    }
}
