package app.tychon.exchange.costs;

import app.tychon.exchange.table.Meaning;
import java.util.Set;

/** What a column of a table of cost lines, resources or funding says; each is a field that is written as people write it. */
public enum MoneyColumn implements Meaning {
    CODE("code", "Code", "code", "id", "cost code", "line", "no", "no.", "number", "ref"),
    NAME("name", "Name", "name", "title", "cost", "cost line", "description", "item", "resource"),
    ON("on", "On", "on", "activity", "activity id", "activity code", "stands on", "wbs", "branch", "row"),
    AMOUNT("amount", "Amount", "amount", "planned", "planned amount", "value", "price", "total", "cost amount", "sum"),
    PER_DAY("perDay", "Per day", "per day", "daily rate", "rate per day", "a day"),
    DUE("due", "Due anyway", "due anyway", "fixed", "fixed share", "fixed %", "share due"),
    PAID("paid", "Paid", "paid", "timing", "payment", "instalments", "installments", "when"),
    CATEGORY("category", "Category", "category", "cost category", "account", "cbs", "group"),
    SPENT("spent", "Spent", "spent", "actual", "actual cost", "paid to date", "spent to date"),
    TO_GO("toGo", "To go", "to go", "cost to go", "remaining", "remaining cost", "estimate to complete"),
    GRADE("grade", "Grade", "grade"),
    RANGE("range", "Range", "range", "spread", "estimate"),
    RATE("rate", "Rate", "rate", "rates", "unit price", "price per unit", "day rate", "hourly rate"),
    PER("per", "Per", "per", "unit", "paid per", "rate per"),
    LIMIT("limit", "Limit", "limit", "max units", "maximum", "available units"),
    WORK("work", "Work", "work", "assignments", "at work on", "assigned to"),
    DATE("date", "Date", "date", "from", "available from", "available"),
    CURRENCY("currency", "Currency", "currency", "cur", "ccy");

    private final String field;
    private final String title;
    private final Set<String> headers;

    MoneyColumn(String field, String title, String... headers) {
        this.field = field;
        this.title = title;
        this.headers = Set.of(headers);
    }

    /** As edits call it. */
    public String field() {
        return field;
    }

    @Override
    public Set<String> headers() {
        return headers;
    }

    @Override
    public String title() {
        return title;
    }
}
