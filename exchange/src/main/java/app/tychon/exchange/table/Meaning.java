package app.tychon.exchange.table;

import java.util.Set;

/** What a column of a table can say; each subject has its own list of them, which {@link Headings} finds. */
public interface Meaning {
    /** Headers that such columns commonly have, in small letters. */
    Set<String> headers();

    /** The word a person calls the column by. */
    String title();
}
