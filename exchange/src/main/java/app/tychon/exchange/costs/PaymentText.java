package app.tychon.exchange.costs;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Instalment.End;
import app.tychon.exchange.Words;
import app.tychon.exchange.table.DateWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * When a cost line is paid, as people write it: {@code evenly}, {@code at the start}, {@code at the finish}, or instalments,
 * {@code 30 % on 2027-05-01; 70 % at E80}: on a day, or when a row is reached, at its finish unless its {@code start} is said.
 */
public final class PaymentText {
    private static final Pattern PART = Pattern.compile(
            "(?i)([\\d.,]+)\\s*%?\\s+(?:(?:on|at|by|when)\\s+)?(?:(?:the\\s+)?(start|finish|end)\\s+of\\s+)?(.+?)(?:\\s+(start|finish|end)s?)?");

    private PaymentText() {}

    /** What a text says; instalments go before the timing. */
    public record Payment(CostTiming timing, List<Instalment> instalments) {}

    /**
     * @param code finds the code of a row by its code or name, and throws where there is none
     * @throws IllegalArgumentException with the reason
     */
    public static Payment read(String text, UnaryOperator<String> code) {
        String small = text.strip().toLowerCase(Locale.ROOT).replaceFirst("^(at )?(the )?", "");
        switch (small) {
            case "", "evenly", "even" -> {
                return new Payment(CostTiming.EVEN, List.of());
            }
            case "start" -> {
                return new Payment(CostTiming.START, List.of());
            }
            case "finish", "end" -> {
                return new Payment(CostTiming.FINISH, List.of());
            }
            default -> {
                List<Instalment> parts = new ArrayList<>();
                for (String part : text.split(";")) {
                    parts.add(part(part.strip(), code));
                }
                return new Payment(CostTiming.EVEN, parts);
            }
        }
    }

    private static Instalment part(String text, UnaryOperator<String> code) {
        Matcher form = PART.matcher(text);
        if (!form.matches()) {
            throw new IllegalArgumentException(
                    "\"" + text
                            + "\" does not say when; say evenly, start, finish, or instalments such as 30 % on 2027-05-01; 70 % at E80");
        }
        double share = ShareText.read(form.group(1));
        Optional<DateWords.Moment> day = DateWords.of(DateWords.Order.DAY_FIRST).read(form.group(3));
        if (day.isPresent()) {
            return Instalment.onDay(share, day.get().day());
        }
        String end = form.group(2) == null ? form.group(4) : form.group(2);
        boolean isStart = "start".equalsIgnoreCase(end);
        return Instalment.at(share, code.apply(form.group(3)), isStart ? End.START : End.FINISH);
    }

    /** A text that is read as the same. */
    public static String of(CostLine line) {
        if (line.instalments().isEmpty()) {
            return line.timing() == CostTiming.EVEN ? "evenly" : Words.of(line.timing());
        }
        return String.join(
                "; ", line.instalments().stream().map(PaymentText::part).toList());
    }

    private static String part(Instalment one) {
        String share = ShareText.of(one.share());
        if (one.due() instanceof Instalment.Reached reached) {
            return share + " at " + reached.on() + (reached.end() == End.START ? " start" : "");
        }
        return share + " on " + ((Instalment.OnDay) one.due()).date();
    }
}
