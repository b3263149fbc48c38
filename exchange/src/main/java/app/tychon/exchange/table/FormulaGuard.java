package app.tychon.exchange.table;

/**
 * What somebody typed as a name must not run as a formula on somebody else's machine: in tables of text, it stands behind an
 * apostrophe, which reading takes away again.
 */
final class FormulaGuard {
    private static final char GUARD = '\'';
    /** Texts that begin so are taken for formulas by spreadsheets: the signs, also in full width, a tab, a return. */
    private static final String FORMULA_STARTS = "=+-@\t\r\uFF1D\uFF0B\uFF0D\uFF20";

    private FormulaGuard() {}

    static String guarded(String text) {
        return startsAsFormula(text, 0) && !text.matches("-?[\\d.]+") || isGuarded(text) ? GUARD + text : text;
    }

    static String plain(String text) {
        return isGuarded(text) ? text.substring(1) : text;
    }

    /** Also what was an apostrophe before such a sign from the beginning. */
    private static boolean isGuarded(String text) {
        int first = 0;
        while (first < text.length() && text.charAt(first) == GUARD) {
            first++;
        }
        return first > 0 && startsAsFormula(text, first);
    }

    private static boolean startsAsFormula(String text, int at) {
        return at < text.length() && FORMULA_STARTS.indexOf(text.charAt(at)) >= 0;
    }
}
