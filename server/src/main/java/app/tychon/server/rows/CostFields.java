package app.tychon.server.rows;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.costs.MoneyText;
import app.tychon.exchange.costs.PaymentText;
import app.tychon.exchange.costs.ShareText;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/** The fields of a cost line as an edit gives them. @see CostWords */
final class CostFields {
    private static final Set<String> FIELDS =
            Set.of("name", "on", "amount", "due", "perDay", "paid", "category", "spent", "toGo");

    private final Plan plan;
    private final String currency;
    private final PlaceNames places;
    /** Made when a day rate is asked about. */
    private @Nullable PlannedSpans spans;

    CostFields(Plan plan) {
        this.plan = plan;
        currency = plan.project().currency();
        places = new PlaceNames(plan);
    }

    /** @param pointer of the fields; problems are told with it */
    CostLine edited(CostLine line, JsonNode fields, String pointer, List<Problem> problems) {
        JsonCursor at = JsonCursor.at(fields, pointer, problems).allow(FIELDS);
        CostLine now = line.withName(text(at, "name").map(String::strip).orElse(line.name()))
                .withCategory(text(at, "category").map(CostFields::category).orElse(line.category()));
        now = said(at, "on", now, places::of, CostLine::withOn);
        boolean byTheDay = !at.get("perDay").isAbsent();
        now = said(at, "amount", now, this::money, byTheDay ? CostLine::withAmount : this::withAmount);
        now = said(at, "due", now, ShareText::read, byTheDay ? CostLine::withFixedShare : this::withShare);
        now = said(at, "paid", now, text -> PaymentText.read(text, places::of), (one, payment) -> one.withTiming(
                        payment.timing())
                .withInstalments(payment.instalments()));
        now = said(at, "spent", now, this::perhaps, CostLine::withSpent);
        now = said(at, "toGo", now, this::perhaps, CostLine::withToGo);
        return said(at, "perDay", now, this::perhaps, this::withDayRate);
    }

    private static Optional<String> text(JsonCursor at, String field) {
        return at.optional(field, CostFields::written);
    }

    /** A text, or a number as one. */
    private static String written(JsonCursor at) {
        return at.isNumber() ? String.valueOf(at.number()) : at.text();
    }

    /** Levels without blanks around them. */
    private static String category(String text) {
        return text.strip().replaceAll("\\s*/\\s*", "/").replaceAll("^/+|/+$", "");
    }

    private double money(String text) {
        return MoneyText.read(text, currency);
    }

    private Optional<Double> perhaps(String text) {
        return text.isBlank() ? Optional.empty() : Optional.of(money(text));
    }

    /** Of a line that is paid by the day, what is due beside it stays, and the rate follows. */
    private CostLine withAmount(CostLine line, double amount) {
        if (line.perDay().isEmpty()) {
            return line.withAmount(amount);
        }
        double days = days(line);
        boolean less = days == 0 || amount < line.amount();
        return less
                ? line.withAmount(amount).withPerDay(Optional.of(0.0))
                : line.withPerDay(Optional.of((amount - line.amount()) / days));
    }

    /** Of a line that is paid by the day, all of it stays, and the rate follows. */
    private CostLine withShare(CostLine line, double share) {
        double days = line.perDay().isEmpty() ? 0 : days(line);
        if (days == 0) {
            return line.withFixedShare(share);
        }
        double whole = line.over(days).amount();
        return line.withAmount(whole * share).withPerDay(Optional.of(whole * (1 - share) / days));
    }

    /** What is due whatever happens stays; the rest is so much a planned day. Without a rate, it is what that comes to now. */
    private CostLine withDayRate(CostLine line, Optional<Double> rate) {
        if (rate.isEmpty()) {
            return line.perDay().isEmpty() ? line : line.over(days(line));
        }
        if (days(line) == 0) {
            throw new IllegalArgumentException(
                    "what it stands on takes no time, so nothing of it can be paid by the day");
        }
        double fixed = line.perDay().isPresent() ? line.amount() : line.amount() * line.fixedShare();
        return line.withAmount(fixed).withFixedShare(1).withPerDay(rate);
    }

    private double days(CostLine line) {
        if (spans == null) {
            Network network = Network.of(plan);
            spans = new PlannedSpans(network, new ForwardPass(network));
        }
        return spans.days(line.on());
    }

    private static <T> CostLine said(
            JsonCursor at,
            String field,
            CostLine line,
            Function<String, T> read,
            BiFunction<CostLine, T, CostLine> change) {
        if (at.get(field).isAbsent()) {
            return line;
        }
        try {
            return change.apply(line, read.apply(written(at.get(field))));
        } catch (IllegalArgumentException e) {
            at.get(field).problem(e.getMessage());
            return line;
        }
    }
}
