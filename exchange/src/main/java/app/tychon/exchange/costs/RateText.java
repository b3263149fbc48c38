package app.tychon.exchange.costs;

import app.tychon.core.model.Resource;
import app.tychon.core.model.Resource.RateFrom;
import app.tychon.exchange.Numbers;
import app.tychon.exchange.table.DateWords;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What a resource costs, as people write it: {@code 1,950}, or with other rates from a day on: {@code 1950; 2050 from 2028-01-01}. */
public final class RateText {
    private static final Pattern FROM = Pattern.compile("(?i)(.+?)\\s+from\\s+(.+)");

    private RateText() {}

    /** @param rates from a day on, in the order of their days */
    public record Rates(double rate, List<RateFrom> rates) {}

    /** @throws IllegalArgumentException with the reason */
    public static Rates read(String text, String currency) {
        List<RateFrom> rates = new ArrayList<>();
        double first = 0;
        boolean begun = false;
        for (String part : text.split(";")) {
            Matcher from = FROM.matcher(part.strip());
            if (from.matches()) {
                rates.add(new RateFrom(day(from.group(2)), MoneyText.read(from.group(1), currency)));
            } else if (begun) {
                throw new IllegalArgumentException(
                        "\"" + part.strip() + "\" does not say from when, as in 2050 from 2028-01-01");
            } else {
                first = MoneyText.read(part, currency);
                begun = true;
            }
        }
        rates.sort(Comparator.comparing(RateFrom::from));
        return new Rates(first, rates);
    }

    private static LocalDate day(String text) {
        return DateWords.of(DateWords.Order.DAY_FIRST)
                .read(text)
                .orElseThrow(() ->
                        new IllegalArgumentException("\"" + text.strip() + "\" is no date; one reads as 2028-01-01"))
                .day();
    }

    /** A text that is read as the same. */
    public static String of(Resource resource) {
        return Numbers.text(resource.rate())
                + resource.rates().stream()
                        .map(one -> "; " + Numbers.text(one.rate()) + " from " + one.from())
                        .collect(Collectors.joining());
    }
}
