package app.tychon.exchange.costs;

import app.tychon.exchange.table.Headings;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What a table of money is about, with the columns it may have. */
public enum MoneySubject {
    COSTS(
            "cost lines",
            MoneyColumn.CODE,
            MoneyColumn.NAME,
            MoneyColumn.ON,
            MoneyColumn.AMOUNT,
            MoneyColumn.PER_DAY,
            MoneyColumn.DUE,
            MoneyColumn.PAID,
            MoneyColumn.CATEGORY,
            MoneyColumn.SPENT,
            MoneyColumn.TO_GO,
            MoneyColumn.GRADE,
            MoneyColumn.RANGE),
    RESOURCES(
            "resources",
            MoneyColumn.CODE,
            MoneyColumn.NAME,
            MoneyColumn.RATE,
            MoneyColumn.PER,
            MoneyColumn.LIMIT,
            MoneyColumn.CATEGORY,
            MoneyColumn.WORK),
    FUNDING("steps of funding", MoneyColumn.DATE, MoneyColumn.AMOUNT, MoneyColumn.NAME);

    private final String many;
    private final List<MoneyColumn> columns;

    MoneySubject(String many, MoneyColumn... columns) {
        this.many = many;
        this.columns = List.of(columns);
    }

    /** What its rows are called together. */
    public String many() {
        return many;
    }

    public List<MoneyColumn> columns() {
        return columns;
    }

    /** How much a row of titles says of money. */
    public static int says(List<String> titles) {
        return Headings.guess(MoneyColumn.class, titles).size();
    }

    /** By the columns there are: rates are of resources, amounts on days without a place are funding. */
    static MoneySubject of(Map<MoneyColumn, Integer> columns) {
        Set<MoneyColumn> there = columns.keySet();
        if (there.contains(MoneyColumn.RATE)) {
            return RESOURCES;
        }
        return there.contains(MoneyColumn.DATE) && !there.contains(MoneyColumn.ON) ? FUNDING : COSTS;
    }
}
