package app.tychon.exchange.risks;

import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scheme;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** How likely a risk is, as people write it: 30, 30 %, 1 in 20, 2.5 a year, or a word of the scoring scheme. */
public final class ChanceText {
    private static final Pattern ODDS = Pattern.compile("(\\S+)\\s+(?:in|of|out of)\\s+(\\S+)");
    private static final Pattern RATE = Pattern.compile("(.+?)\\s*(?:x|times)?\\s*(?:a|per|/)\\s*(?:year|yr|a)\\.?");
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private ChanceText() {}

    /**
     * What a text says.
     *
     * @param probability 0 to 1, of occurring at all
     * @param perYear     how often it strikes a year, where that is said
     */
    public record Chance(double probability, Optional<Double> perYear) {
        /** A risk of this chance. What a risk says of the period in which it recurs, and of counts, stays. */
        public Risk in(Risk risk) {
            Optional<Recurrence.Period> over = risk.recurrence()
                    .filter(Recurrence.PerYear.class::isInstance)
                    .flatMap(r -> ((Recurrence.PerYear) r).over());
            Optional<Recurrence> recurrence = perYear.isPresent()
                    ? perYear.map(rate -> new Recurrence.PerYear(rate, over))
                    : risk.recurrence().filter(Recurrence.Count.class::isInstance);
            return risk.withProbability(probability).withRecurrence(recurrence);
        }
    }

    /** @throws IllegalArgumentException with the reason where it is no chance */
    public static Chance read(String text, Optional<Scheme> scheme) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        Optional<Scheme.Level> word = scheme.flatMap(s -> s.chance().stream()
                .filter(level -> level.name().strip().toLowerCase(Locale.ROOT).equals(plain))
                .findFirst());
        if (word.isPresent()) {
            BigDecimal middle = BigDecimal.valueOf(word.get().from())
                    .add(BigDecimal.valueOf(word.get().to()))
                    .divide(BigDecimal.valueOf(2));
            return new Chance(middle.doubleValue(), Optional.empty());
        }
        Matcher rate = RATE.matcher(plain);
        if (rate.matches()) {
            String[] parts = rate.group(1).split("%\\s*,?\\s*", 2);
            double often = number(parts[parts.length - 1], text, scheme).doubleValue();
            double probability = parts.length == 2 ? percent(parts[0], text, scheme) : 1;
            return new Chance(probability, Optional.of(often));
        }
        Matcher odds = ODDS.matcher(plain);
        if (odds.matches()) {
            BigDecimal of = number(odds.group(2), text, scheme);
            if (of.signum() <= 0) {
                throw refused(text, scheme);
            }
            return new Chance(
                    checked(number(odds.group(1), text, scheme).divide(of, MathContext.DECIMAL64)), Optional.empty());
        }
        return new Chance(percent(plain.replaceFirst("\\s*%$", ""), text, scheme), Optional.empty());
    }

    private static double percent(String digits, String text, Optional<Scheme> scheme) {
        return checked(number(digits, text, scheme).divide(HUNDRED));
    }

    private static double checked(BigDecimal chance) {
        if (chance.signum() < 0 || chance.compareTo(BigDecimal.ONE) > 0) {
            throw new IllegalArgumentException("a chance lies between 0 and 100 %; this is "
                    + Amounts.text(chance.multiply(HUNDRED).round(new MathContext(6))) + " %");
        }
        return chance.doubleValue();
    }

    private static BigDecimal number(String digits, String text, Optional<Scheme> scheme) {
        return Amounts.read(digits).orElseThrow(() -> refused(text, scheme));
    }

    private static IllegalArgumentException refused(String text, Optional<Scheme> scheme) {
        String words = scheme.map(s -> ", or a word of the scheme ("
                        + s.chance().stream().map(Scheme.Level::name).collect(Collectors.joining(", ")) + ")")
                .orElse("");
        return new IllegalArgumentException(
                "a chance is a number of percent, \"1 in 20\", \"2.5 a year\"" + words + "; not \"" + text + "\"");
    }

    /** As it is read again. */
    public static String of(Risk risk) {
        String chance = Amounts.text(BigDecimal.valueOf(risk.probability()).multiply(HUNDRED)) + " %";
        Optional<String> rate = risk.recurrence()
                .filter(Recurrence.PerYear.class::isInstance)
                .map(r -> Amounts.text(((Recurrence.PerYear) r).rate()) + " a year");
        return rate.map(often -> risk.probability() == 1 ? often : chance + ", " + often)
                .orElse(chance);
    }
}
