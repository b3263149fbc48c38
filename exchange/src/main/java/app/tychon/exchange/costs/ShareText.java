package app.tychon.exchange.costs;

import app.tychon.exchange.Numbers;

/** Shares as people write them: 25 %, 25, 0,5 %. */
public final class ShareText {
    private static final double PERCENT = 100;

    private ShareText() {}

    /** @return 0 to 1 as far as it is sound; @throws IllegalArgumentException where it is no number */
    public static double read(String text) {
        String plain = text.strip().replace("%", "").replace(',', '.').strip();
        try {
            return Double.parseDouble(plain) / PERCENT;
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\"" + text.strip() + "\" is no share; one reads as 25 %");
        }
    }

    public static String of(double share) {
        return Numbers.text(PERCENT * share) + " %";
    }
}
