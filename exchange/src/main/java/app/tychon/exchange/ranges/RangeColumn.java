package app.tychon.exchange.ranges;

import app.tychon.exchange.table.Meaning;
import java.util.Locale;
import java.util.Set;

/** What a table of ranges says beside what a schedule does. */
enum RangeColumn implements Meaning {
    GRADE("grade", "estimate grade", "class"),
    PARAMETERS("parameters", "estimate");

    private final Set<String> headers;

    RangeColumn(String... headers) {
        this.headers = Set.of(headers);
    }

    @Override
    public Set<String> headers() {
        return headers;
    }

    @Override
    public String title() {
        return name().toLowerCase(Locale.ROOT);
    }
}
