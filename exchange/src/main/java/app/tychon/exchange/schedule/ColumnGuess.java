package app.tychon.exchange.schedule;

import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** What the columns of a table say: by their headers, and where those say nothing, by what stands in them. */
public final class ColumnGuess {
    private static final int ROWS_LOOKED_AT = 200;
    private static final double NEARLY_ALL = 0.9;
    private static final int LEAST_NAME = 5;
    private static final int LEAST_RANGES = 3;

    private final Table table;
    private final List<Row> rows;
    private final Map<ScheduleColumn, Integer> columns;

    private ColumnGuess(Table table) {
        this.table = table;
        rows = table.rows().stream().limit(ROWS_LOOKED_AT).toList();
        columns = new EnumMap<>(ScheduleColumn.class);
        columns.putAll(ScheduleColumn.guess(table.header()));
    }

    public static Map<ScheduleColumn, Integer> of(Table table) {
        ColumnGuess guess = new ColumnGuess(table);
        guess.find(ScheduleColumn.NAME, guess::looksLikeNames);
        guess.find(ScheduleColumn.ID, guess::looksLikeIds);
        guess.find(ScheduleColumn.DURATION, column -> guess.most(column, ColumnGuess::isDuration));
        guess.find(ScheduleColumn.PREDECESSORS, guess::looksLikePredecessors);
        guess.findThreePoints();
        return guess.columns;
    }

    /** The first column that nothing is known of yet and that looks like it. */
    private void find(ScheduleColumn meaning, IntPredicate looksLike) {
        for (int c = 0; c < table.header().size() && !columns.containsKey(meaning); c++) {
            if (!columns.containsValue(c) && looksLike.test(c)) {
                columns.put(meaning, c);
            }
        }
    }

    /** Three columns of which nothing else is known, one after the other, whose numbers rise in every row. */
    private void findThreePoints() {
        List<ScheduleColumn> points = List.of(ScheduleColumn.LOW, ScheduleColumn.LIKELY, ScheduleColumn.HIGH);
        if (points.stream().anyMatch(columns::containsKey)) {
            return;
        }
        for (int c = 0; c + 2 < table.header().size(); c++) {
            int first = c;
            boolean free = IntStream.range(first, first + 3).noneMatch(columns::containsValue);
            List<Row> said = rows.stream()
                    .filter(row -> IntStream.range(first, first + 3)
                            .noneMatch(i -> row.cell(i).isEmpty()))
                    .toList();
            boolean rise = said.stream().allMatch(row -> rises(row, first));
            boolean differ = said.stream().anyMatch(row -> !row.cell(first).equals(row.cell(first + 2)));
            if (free && said.size() >= LEAST_RANGES && rise && differ) {
                IntStream.range(0, 3).forEach(i -> columns.put(points.get(i), first + i));
                return;
            }
        }
    }

    private static boolean rises(Row row, int first) {
        OptionalDouble low = ThreePoints.amount(row.cell(first));
        OptionalDouble likely = ThreePoints.amount(row.cell(first + 1));
        OptionalDouble high = ThreePoints.amount(row.cell(first + 2));
        return low.isPresent()
                && likely.isPresent()
                && high.isPresent()
                && low.getAsDouble() <= likely.getAsDouble()
                && likely.getAsDouble() <= high.getAsDouble();
    }

    private List<String> cells(int column) {
        return rows.stream()
                .map(row -> row.cell(column))
                .filter(cell -> !cell.isEmpty())
                .toList();
    }

    private boolean most(int column, Predicate<String> is) {
        List<String> cells = cells(column);
        return !cells.isEmpty() && cells.stream().filter(is).count() >= NEARLY_ALL * cells.size();
    }

    private boolean looksLikeNames(int column) {
        boolean inEveryRow = cells(column).size() >= NEARLY_ALL * rows.size();
        return inEveryRow
                && most(column, cell -> cell.length() >= LEAST_NAME && !cell.matches("[\\d\\W]+"))
                && distinct(column) > 1;
    }

    /** In every row another, short, without blanks. */
    private boolean looksLikeIds(int column) {
        return distinct(column) == rows.size() && most(column, cell -> cell.length() <= 20 && !cell.contains(" "));
    }

    private long distinct(int column) {
        return cells(column).stream().distinct().count();
    }

    private static boolean isDuration(String cell) {
        return cell.matches(".*\\d\\s*[a-zA-Z]+\\??")
                && DurationWords.read(cell).isPresent();
    }

    private boolean looksLikePredecessors(int column) {
        Set<String> ids = new HashSet<>();
        int id = columns.getOrDefault(ScheduleColumn.ID, -1);
        table.rows().forEach(row -> ids.add(row.cell(id).toLowerCase(Locale.ROOT)));
        ids.remove("");
        return cells(column).size() < rows.size()
                && most(
                        column,
                        cell -> ids.contains(cell.split("[;,]")[0]
                                .replaceAll("(?i)\\s*(FS|SS|FF|SF)?([+-].*)?$", "")
                                .toLowerCase(Locale.ROOT)));
    }
}
