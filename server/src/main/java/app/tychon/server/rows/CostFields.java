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
        now = said(at, "amount", now, this::money, CostLine::withAmount);
        now = said(at, "due", now, ShareText::read, CostLine::withFixedShare);
        now = said(at, "paid", now, text -> PaymentText.read(text, places::of), (one, payment) -> one.withTiming(
                        payment.timing())
                .withInstalments(payment.instalments()));
        now = said(at, "spent", now, this::perhaps, CostLine::withSpent);
        now = said(at, "toGo", now, this::perhaps, CostLine::withToGo);
        return said(at, "perDay", now, this::money, this::withDayRate);
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

    /** What is due whatever happens stays; the rest is so much a day, for as long as is planned. */
    private CostLine withDayRate(CostLine line, double rate) {
        Network network = Network.of(plan);
        double minutes = new PlannedSpans(network, new ForwardPass(network)).duration(line.on());
        double days = minutes / minutesPerDay(network, line.on());
        if (days == 0) {
            throw new IllegalArgumentException(
                    "what it stands on takes no time, so nothing of it can be paid by the day");
        }
        double fixed = line.amount() * line.fixedShare();
        double amount = fixed + rate * days;
        return line.withAmount(amount).withFixedShare(amount == 0 ? 1 : fixed / amount);
    }

    /** Of the calendar in which the days of what money stands on count. */
    static double minutesPerDay(Network network, String on) {
        if (network.branches().isBranch(on)) {
            return network.plan().projectCalendar().hoursPerDay() * 60;
        }
        int position = network.position(on);
        return network.activity(position).minutesPerDay(network.calendar(position));
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
