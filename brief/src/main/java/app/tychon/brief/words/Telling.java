package app.tychon.brief.words;

import app.tychon.brief.ground.Odds;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Brief;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;

/** How dates, money, days and chances are told in a brief. */
public final class Telling {
    private static final int FIGURES = 3;
    private static final double THOUSAND = 1e3;
    private static final double MILLION = 1e6;
    private static final double BILLION = 1e9;
    private static final String[] UP_TO_TEN = {
        "none", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"
    };

    private final Locale locale;
    private final Brief.Days days;
    private final NumberFormat money;
    private final NumberFormat whole;

    /** @param currency ISO 4217 code; an unknown one is written as it is */
    public Telling(String locale, Brief.Days days, String currency) {
        this.locale = Locale.forLanguageTag(locale);
        this.days = days;
        whole = NumberFormat.getIntegerInstance(this.locale);
        money = currency(currency);
    }

    private NumberFormat currency(String code) {
        DecimalFormat format = (DecimalFormat) NumberFormat.getCurrencyInstance(locale);
        DecimalFormatSymbols symbols = format.getDecimalFormatSymbols();
        symbols.setCurrencySymbol(sign(code));
        format.setDecimalFormatSymbols(symbols);
        return format;
    }

    /** The sign of a currency where it is used, which is shorter than its code and tells as much. */
    private static String sign(String code) {
        return Arrays.stream(Locale.getAvailableLocales())
                .filter(one -> currencyOf(one).filter(code::equals).isPresent())
                .map(one -> Currency.getInstance(code).getSymbol(one))
                .filter(one -> !one.equals(code))
                .min(Comparator.comparingInt(String::length).thenComparing(Comparator.naturalOrder()))
                .orElse(code);
    }

    private static Optional<String> currencyOf(Locale locale) {
        try {
            return locale.getCountry().isEmpty()
                    ? Optional.empty()
                    : Optional.ofNullable(Currency.getInstance(locale)).map(Currency::getCurrencyCode);
        } catch (IllegalArgumentException noCountry) {
            return Optional.empty();
        }
    }

    public Locale locale() {
        return locale;
    }

    /** Whether differences between dates are told in working days. */
    public boolean isWorking() {
        return days == Brief.Days.WORKING;
    }

    /** 24 October 2028 */
    public String date(double instant) {
        return day(Instants.toCivil(instant).toLocalDate());
    }

    /** The same of a day. */
    public String day(LocalDate day) {
        return day.format(DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(locale));
    }

    /** 24 Oct 2028 */
    public String shortDate(double instant) {
        return shortDay(Instants.toCivil(instant).toLocalDate());
    }

    public String shortDay(LocalDate day) {
        return day.format(DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM).withLocale(locale));
    }

    /** What stands on an axis of dates: 2028, Oct, Oct 2028. */
    public String tick(LocalDate day, boolean withYear) {
        String pattern =
                day.getDayOfMonth() != 1 ? "d MMM" : withYear ? "MMM yyyy" : day.getMonthValue() == 1 ? "yyyy" : "MMM";
        return day.format(DateTimeFormatter.ofPattern(pattern, locale));
    }

    /** €4.40m: to three figures. */
    public String money(double amount) {
        double size = Math.abs(amount);
        if (size < THOUSAND) {
            return worn(rounded(amount, 0), "", 0);
        }
        boolean english = locale.getLanguage().equals("en");
        if (size < 999_500) {
            return english
                    ? worn(amount / THOUSAND, "k", thousands(amount / THOUSAND))
                    : worn(rounded(amount, 0), "", 0);
        }
        if (size < 999_500_000) {
            return worn(amount / MILLION, english ? "m" : unit(MILLION), decimals(amount / MILLION));
        }
        return worn(amount / BILLION, english ? "bn" : unit(BILLION), decimals(amount / BILLION));
    }

    /** What a language calls a million, with the blank before it: " Mio." */
    private String unit(double size) {
        String text = NumberFormat.getCompactNumberInstance(locale, NumberFormat.Style.SHORT)
                .format(size);
        return text.replaceFirst("^\\p{Nd}+", "");
    }

    private static double rounded(double amount, int decimals) {
        return BigDecimal.valueOf(amount)
                .setScale(decimals, RoundingMode.HALF_UP)
                .doubleValue();
    }

    private static int decimals(double amount) {
        BigDecimal figures = new BigDecimal(amount).round(new MathContext(FIGURES));
        int before = Math.max(1, figures.precision() - figures.scale());
        return Math.max(0, FIGURES - before);
    }

    /** 7.9k, 14k, 740k. */
    private static int thousands(double amount) {
        return Math.abs(amount) < 10 && rounded(amount, 1) != Math.rint(rounded(amount, 1)) ? 1 : 0;
    }

    private String worn(double amount, String unit, int decimals) {
        DecimalFormat format = (DecimalFormat) money.clone();
        format.setMinimumFractionDigits(decimals);
        format.setMaximumFractionDigits(decimals);
        String text = format.format(rounded(amount, decimals));
        if (unit.isEmpty()) {
            return text;
        }
        // The unit belongs to the number, before a sign that follows it.
        int last = text.length();
        while (last > 0 && !Character.isDigit(text.charAt(last - 1))) {
            last--;
        }
        return text.substring(0, last) + unit + text.substring(last);
    }

    /** An amount to the last unit, for tables. */
    public String exactMoney(double amount) {
        return worn(rounded(amount, 0), "", 0);
    }

    public String whole(long number) {
        return whole.format(number);
    }

    /** 12.5 */
    public String number(double value, int decimals) {
        NumberFormat format = NumberFormat.getNumberInstance(locale);
        format.setMaximumFractionDigits(decimals);
        return format.format(rounded(value, decimals));
    }

    /** 74 working days, 106 days: of what lies between two dates. */
    public String days(double working, double calendar) {
        return isWorking() ? workingDays(working) : counted(calendar, "day");
    }

    /** The same of two instants. */
    public String between(Odds odds, double from, double to) {
        return days(odds.work(from, to) / odds.day(), Math.rint((to - from) / Instants.DAY));
    }

    /** 74 working days: of work, wherever it lies. */
    public String workingDays(double working) {
        return counted(working, "working day");
    }

    private String counted(double days, String one) {
        double size = Math.abs(days);
        double shown = rounded(size, size < 10 ? 1 : 0);
        return number(shown, 1) + " " + one + (shown == 1 ? "" : "s");
    }

    /** 80 % */
    public String percent(double share) {
        return number(share * 100, 0) + "\u00a0%";
    }

    /** So many of all futures, in words for people who do not simulate: "two in a thousand", "71 in a hundred", "all". */
    public String often(long futures, long all) {
        if (futures == 0 || futures == all) {
            return futures == 0 ? "none" : "all";
        }
        double share = (double) futures / all;
        if (share < 0.0005) {
            return "fewer than one in a thousand";
        }
        if (share > 0.9995) {
            return "all but fewer than one in a thousand";
        }
        if (share < 0.0095) {
            return small(Math.round(share * THOUSAND)) + " in a thousand";
        }
        if (share > 0.9905) {
            return "all but " + small(Math.round((1 - share) * THOUSAND)) + " in a thousand";
        }
        return small(Math.round(share * 100)) + " in a hundred";
    }

    private String small(long number) {
        return number >= 0 && number < UP_TO_TEN.length ? UP_TO_TEN[(int) number] : whole(number);
    }

    /** A number of things: "two responses", "14 risks". */
    public String count(long number, String one, String many) {
        return small(number).replace("none", "no") + " " + (number == 1 ? one : many);
    }
}
