package app.tychon.exchange.costs;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Amounts of money as people write them: 84000 · 84,000 · 84.000,00 · 84 000 · 84k · 1.2m · €84k · EUR 84,000.50 · (1,200).
 * Where both a point and a comma stand, the last is the decimal one; where one of them stands before exactly three digits, it
 * parts thousands.
 */
public final class MoneyText {
    private static final Pattern FORM =
            Pattern.compile("([+-]?)\\s*(\\d[\\d.,'\\s\u2019\u00a0\u202f]*|[.,]\\d+)\\s*([km]|mn|bn)?");
    private static final Pattern CODE = Pattern.compile("(?<![A-Za-z])[A-Z]{3}(?![A-Za-z])");
    private static final String BLANKS = "['\\s\u2019\u00a0\u202f]";
    private static final String SIGNS = "€$£¥₹₩₽₺₪฿₴₫₦";
    private static final BigDecimal THOUSAND = BigDecimal.valueOf(1000);

    private MoneyText() {}

    /**
     * @param currency ISO 4217 code of the project
     * @throws IllegalArgumentException with the reason, where it is no amount or one of another currency
     */
    public static double read(String text, String currency) {
        String plain = plain(text, currency);
        boolean negative = plain.startsWith("(") && plain.endsWith(")");
        if (negative) {
            plain = plain.substring(1, plain.length() - 1).strip();
        }
        Matcher form = FORM.matcher(plain.toLowerCase(Locale.ROOT).replace('\u2212', '-'));
        Optional<BigDecimal> digits = form.matches() && areGroups(form.group(2).strip())
                ? digits(form.group(2).replaceAll(BLANKS, ""))
                : Optional.empty();
        BigDecimal value = digits.orElseThrow(() ->
                new IllegalArgumentException("\"" + text.strip() + "\" is no amount; one reads as 84,000 or 84k"));
        String unit = form.group(3) == null ? "" : form.group(3);
        BigDecimal times =
                switch (unit) {
                    case "k" -> THOUSAND;
                    case "m", "mn" -> THOUSAND.pow(2);
                    case "bn" -> THOUSAND.pow(3);
                    default -> BigDecimal.ONE;
                };
        double amount = value.multiply(times).doubleValue();
        return negative || form.group(1).equals("-") ? -amount : amount;
    }

    /** Without the sign or the code of the project's currency. */
    private static String plain(String text, String currency) {
        String plain = text.strip();
        Matcher code = CODE.matcher(plain);
        while (code.find()) {
            if (!code.group().equals(currency) && isCurrency(code.group())) {
                throw other(code.group(), currency);
            }
        }
        String sign = Currency.getInstance(currency).getSymbol(Locale.ENGLISH);
        for (char one : SIGNS.toCharArray()) {
            if (plain.indexOf(one) >= 0 && !isSignOf(one, sign, currency)) {
                throw other(String.valueOf(one), currency);
            }
        }
        return plain.replaceAll("(?<![A-Za-z])" + currency + "(?![A-Za-z])", "")
                .replaceAll("[" + SIGNS.replace("$", "\\$") + "]", "")
                .strip();
    }

    private static boolean isSignOf(char one, String sign, String currency) {
        // Many currencies are written with a dollar or a yen sign alone where they are at home.
        boolean dollar = one == '$' && currency.endsWith("D");
        boolean yen = one == '¥' && (currency.equals("JPY") || currency.equals("CNY"));
        return sign.indexOf(one) >= 0 || dollar || yen;
    }

    private static boolean isCurrency(String code) {
        return Currency.getAvailableCurrencies().stream()
                .anyMatch(one -> one.getCurrencyCode().equals(code));
    }

    private static IllegalArgumentException other(String said, String currency) {
        return new IllegalArgumentException(
                "this is in " + said + "; amounts of this project are in " + currency + ", so convert it first");
    }

    /** Whether blanks, where there are any, part thousands. */
    private static boolean areGroups(String text) {
        boolean parted = text.length() != text.replaceAll(BLANKS, "").length();
        return !parted || text.matches("\\d{1,3}(" + BLANKS + "\\d{3})+([.,]\\d+)?");
    }

    private static Optional<BigDecimal> digits(String text) {
        int point = text.lastIndexOf('.');
        int comma = text.lastIndexOf(',');
        String plain;
        if (point >= 0 && comma >= 0) {
            char decimal = point > comma ? '.' : ',';
            plain = text.replace(decimal == '.' ? "," : ".", "").replace(decimal, '.');
        } else if (point < 0 && comma < 0) {
            plain = text;
        } else {
            char mark = point >= 0 ? '.' : ',';
            boolean groups = text.matches("[1-9]\\d{0,2}(\\" + mark + "\\d{3})+");
            plain = groups ? text.replace(String.valueOf(mark), "") : text.replace(mark, '.');
        }
        try {
            return Optional.of(new BigDecimal(plain));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
