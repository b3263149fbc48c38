package app.tychon.exchange.ranges;

import app.tychon.core.model.Evidence.Observation;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Reads past work out of a table: one column of actual values, or a planned and an actual one. Other columns, such as
 * names, are passed over, and a header is known by having no number.
 */
public final class EvidenceReader {
    private static final Set<String> PLANNED = Set.of("planned", "plan", "estimate", "estimated", "budget", "original");
    private static final Set<String> ACTUAL = Set.of("actual", "took", "taken", "real", "final", "outcome");
    private static final double NEARLY_ALL = 0.7;

    private final List<String> header;
    private final List<Row> rows = new ArrayList<>();
    private final List<CellProblem> problems = new ArrayList<>();

    private EvidenceReader(Table table) {
        boolean headed = table.header().stream().noneMatch(cell -> number(cell).isPresent());
        header = headed ? table.header() : List.of();
        if (!headed) {
            rows.add(new Row(1, table.header()));
        }
        rows.addAll(table.rows());
    }

    /** @param problems rows that cannot be understood; they are left out */
    public record Read(List<Observation> observations, List<CellProblem> problems) {}

    /** How much a row of titles says of past work. */
    public static int says(List<String> titles) {
        return (int) titles.stream()
                .filter(title -> Stream.of(PLANNED, ACTUAL)
                        .flatMap(Set::stream)
                        .anyMatch(title.strip().toLowerCase(Locale.ROOT)::startsWith))
                .count();
    }

    public static Read read(Table table) {
        return new EvidenceReader(table).read();
    }

    private Read read() {
        List<Integer> numeric = numericColumns();
        if (numeric.isEmpty()) {
            problems.add(new CellProblem(1, "actual", "no column holds numbers"));
            return new Read(List.of(), problems);
        }
        int actual = named(numeric, ACTUAL).orElse(numeric.get(numeric.size() - 1));
        Optional<Integer> planned = named(numeric, PLANNED)
                .or(() -> numeric.stream().filter(c -> c != actual).reduce((a, b) -> b));
        List<Observation> observations = new ArrayList<>();
        for (Row row : rows) {
            Optional<Double> before = planned.flatMap(c -> value(row, c, "planned"));
            Optional<Double> after = value(row, actual, "actual");
            if (after.isPresent() && before.isPresent() == planned.isPresent()) {
                observations.add(
                        new Observation(before.map(OptionalDouble::of).orElse(OptionalDouble.empty()), after.get()));
            }
        }
        return new Read(observations, problems);
    }

    private List<Integer> numericColumns() {
        int width = rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
        return IntStream.range(0, width)
                .filter(c -> {
                    long numbers = rows.stream()
                            .filter(row -> number(row.cell(c)).isPresent())
                            .count();
                    return numbers > 0 && numbers >= NEARLY_ALL * rows.size();
                })
                .boxed()
                .toList();
    }

    private Optional<Integer> named(List<Integer> columns, Set<String> titles) {
        return columns.stream()
                .filter(c -> c < header.size())
                .filter(c -> titles.stream().anyMatch(header.get(c).strip().toLowerCase(Locale.ROOT)::startsWith))
                .findFirst();
    }

    private Optional<Double> value(Row row, int column, String title) {
        Optional<Double> value = number(row.cell(column));
        if (value.isEmpty()) {
            String text = row.cell(column);
            problems.add(new CellProblem(
                    row.number(), title, text.isEmpty() ? "the value is missing" : "\"" + text + "\" is no number"));
        } else if (value.get() < 0 || value.get() == 0 && title.equals("planned")) {
            problems.add(new CellProblem(row.number(), title, "the value must be above zero; this is " + value.get()));
            return Optional.empty();
        }
        return value;
    }

    /** A number with an optional unit behind it; a comma is a decimal one. */
    private static Optional<Double> number(String cell) {
        String text = cell.strip().replaceFirst("(?i)\\s*(d|days?|%)$", "").replace(',', '.');
        return text.matches("-?\\d+(\\.\\d+)?") ? Optional.of(Double.parseDouble(text)) : Optional.empty();
    }
}
