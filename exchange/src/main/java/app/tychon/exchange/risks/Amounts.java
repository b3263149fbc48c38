package app.tychon.exchange.risks;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers as people write them: 12, −8, 2,5, 110 000, 25k, 1.2m. */
final class Amounts {
    private static final Pattern FORM = Pattern.compile("([+-]?)(\\d{1,20}(?:[.,]\\d{1,400})?|[.,]\\d{1,400})([km]?)");
    private static final Pattern GROUPED = Pattern.compile("[1-9]\\d{0,2}([, '\u2019\u00a0\u202f]\\d{3})+");
    private static final BigDecimal THOUSAND = BigDecimal.valueOf(1000);

    private Amounts() {}

    static Optional<BigDecimal> read(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT).replace('\u2212', '-');
        String sign = plain.startsWith("-") || plain.startsWith("+") ? plain.substring(0, 1) : "";
        String digits = plain.substring(sign.length()).strip();
        if (GROUPED.matcher(digits).matches()) {
            digits = digits.replaceAll("\\D", "");
        }
        Matcher form = FORM.matcher(sign + digits.replaceFirst("\\s+(?=[km]$)", ""));
        if (!form.matches()) {
            return Optional.empty();
        }
        BigDecimal value = new BigDecimal(
                (form.group(1).equals("-") ? "-" : "") + form.group(2).replace(',', '.'));
        return Optional.of(
                switch (form.group(3)) {
                    case "k" -> value.multiply(THOUSAND);
                    case "m" -> value.multiply(THOUSAND).multiply(THOUSAND);
                    default -> value;
                });
    }

    /** To the last digit, so that it is read as the same number. */
    static String text(double value) {
        return text(BigDecimal.valueOf(value));
    }

    static String text(BigDecimal value) {
        return value.signum() == 0 ? "0" : value.stripTrailingZeros().toPlainString();
    }

    /** Thousands as k, where nothing is lost. */
    static String money(double value) {
        BigDecimal exact = BigDecimal.valueOf(value);
        boolean thousands = value != 0 && exact.remainder(THOUSAND).signum() == 0;
        return thousands ? text(exact.divide(THOUSAND)) + "k" : text(exact);
    }
}
