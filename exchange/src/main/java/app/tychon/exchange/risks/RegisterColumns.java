package app.tychon.exchange.risks;

import app.tychon.exchange.table.Headings;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** Which column of a table says what of a risk: by its header, and where that says nothing, by what stands in it. */
public final class RegisterColumns {
    /** Of the cells of a column that hold something, so many must look like what it is taken for. */
    private static final double MOST = 0.7;

    private static final Pattern CODE = Pattern.compile("[A-Za-z]{1,5}[-_. ]?\\d{1,5}");
    private static final Pattern CHANCE =
            Pattern.compile("(?i)\\d+([.,]\\d+)?\\s*%|\\d+ (in|out of) \\d+|[\\d.,]+ (a|per) year");
    private static final Pattern TIME = Pattern.compile("(?is).*\\d\\s*(d|days?|h|hours?|%)( time)? on .+");
    private static final Pattern MONEY = Pattern.compile("(?is).*\\d\\s*[km]?( cost)? on .+");

    private RegisterColumns() {}

    /** How much a row of titles says of risks. */
    public static int says(List<String> titles) {
        return Headings.guess(RiskColumn.class, titles).size();
    }

    /** By header, then by content. */
    public static Map<RiskColumn, Integer> guess(Table table) {
        Map<RiskColumn, Integer> columns = new EnumMap<>(RiskColumn.class);
        columns.putAll(Headings.guess(RiskColumn.class, table.header()));
        Set<Integer> taken = new HashSet<>(columns.values());
        byContent(table, columns, taken, RiskColumn.CODE, text -> CODE.matcher(text)
                .matches());
        byContent(table, columns, taken, RiskColumn.CHANCE, text -> CHANCE.matcher(text)
                .matches());
        byContent(table, columns, taken, RiskColumn.TIME, text -> TIME.matcher(text)
                .matches());
        byContent(table, columns, taken, RiskColumn.MONEY, text -> MONEY.matcher(text)
                .matches());
        byContent(table, columns, taken, RiskColumn.TITLE, text -> text.length() > 8 && text.contains(" "));
        return columns;
    }

    private static void byContent(
            Table table,
            Map<RiskColumn, Integer> columns,
            Set<Integer> taken,
            RiskColumn meaning,
            Predicate<String> looks) {
        if (columns.containsKey(meaning)) {
            return;
        }
        for (int column = 0; column < table.header().size(); column++) {
            int at = column;
            List<String> cells = table.rows().stream()
                    .map(row -> row.cell(at))
                    .filter(cell -> !cell.isEmpty())
                    .toList();
            if (!taken.contains(column)
                    && !cells.isEmpty()
                    && cells.stream().filter(looks).count() >= MOST * cells.size()) {
                columns.put(meaning, column);
                taken.add(column);
                return;
            }
        }
    }

    /** Whether chances are written as shares of one: all are numbers from 0 to 1, and some lie between. */
    static boolean areShares(Table table, int column) {
        boolean between = false;
        for (Row row : table.rows()) {
            String cell = row.cell(column);
            if (cell.isEmpty()) {
                continue;
            }
            if (!cell.matches("[01]([.,]\\d+)?|[.,]\\d+")) {
                return false;
            }
            between |= !cell.matches("[01]([.,]0+)?");
        }
        return between;
    }
}
