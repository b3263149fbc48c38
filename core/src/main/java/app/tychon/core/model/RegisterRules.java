package app.tychon.core.model;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;

/** What the words of a risk register cannot say. */
final class RegisterRules {
    private final Plan plan;
    private final Found found;

    RegisterRules(Plan plan, Found found) {
        this.plan = plan;
        this.found = found;
    }

    void check(String pointer, Risk risk) {
        RegisterEntry entry = risk.entry();
        found.addAll(TextRules.text(pointer + "/cause", entry.cause(), Bounds.LONGEST_NAME));
        found.addAll(TextRules.text(pointer + "/event", entry.event(), Bounds.LONGEST_NAME));
        found.addAll(TextRules.text(pointer + "/consequence", entry.consequence(), Bounds.LONGEST_NAME));
        found.addAll(TextRules.text(pointer + "/notes", entry.notes(), Bounds.LONGEST_NOTES));
        found.addAll(TextRules.text(pointer + "/closedBecause", entry.closedBecause(), Bounds.LONGEST_NAME));
        entry.strategy()
                .filter(strategy -> !strategy.suits(risk.kind()))
                .ifPresent(strategy -> found.add(
                        pointer + "/strategy",
                        "to " + strategy.name().toLowerCase(Locale.ROOT) + " is no strategy for "
                                + (risk.kind() == Risk.Kind.THREAT ? "a threat" : "an opportunity")));
        date(pointer + "/from", entry.from());
        date(pointer + "/to", entry.to());
        if (entry.from().isPresent()
                && entry.to().isPresent()
                && entry.to().get().isBefore(entry.from().get())) {
            found.add(
                    pointer + "/to",
                    entry.to().get() + " is before " + entry.from().get());
        }
        entry.occurred().ifPresent(occurred -> {
            date(pointer + "/occurred/on", Optional.of(occurred.on()));
            found.addAll(TextRules.number(pointer + "/occurred/days", occurred.days(), EstimateRules.LONGEST_DAYS));
            found.addAll(TextRules.number(pointer + "/occurred/money", occurred.money(), Bounds.LARGEST_AMOUNT));
        });
        if (entry.occurred().isPresent() && risk.state() != Risk.State.OCCURRED) {
            found.add(pointer + "/occurred", "what it took is said only of a risk that has occurred");
        }
        plan.scheme().ifPresent(scheme -> {
            entry.score().ifPresent(s -> found.addAll(SchemeRules.problems(pointer + "/score", s, scheme)));
            entry.scoreAfter().ifPresent(s -> found.addAll(SchemeRules.problems(pointer + "/scoreAfter", s, scheme)));
        });
        entry.history().ifPresent(history -> history(pointer + "/history", history));
    }

    private void date(String pointer, Optional<LocalDate> date) {
        date.ifPresent(day -> found.addAll(TextRules.date(pointer, day.atStartOfDay())));
    }

    private void history(String pointer, PastEvents history) {
        if (!(history.years() > 0 && history.years() <= Bounds.LONGEST_YEARS)) {
            found.add(
                    pointer + "/years",
                    "must be above 0 and at most " + Bounds.LONGEST_YEARS + "; this is "
                            + EstimateRules.text(history.years()));
        }
        if (history.count() < 0 || history.count() > EvidenceRules.MOST) {
            found.add(pointer + "/count", "must lie between 0 and " + EvidenceRules.MOST);
        }
        if (history.unit() != Basis.DAYS && history.unit() != Basis.MONEY) {
            found.add(pointer + "/unit", "past events are counted in days or money");
        }
        if (!history.events().isEmpty() && history.events().size() != history.count()) {
            found.add(
                    pointer + "/count", "there are " + history.events().size() + " events; this is " + history.count());
        }
        found.addAll(TextRules.number(pointer + "/mean", history.mean(), Bounds.LARGEST_AMOUNT));
        if (!(history.sd() >= 0 && history.sd() <= Bounds.LARGEST_AMOUNT)) {
            found.add(pointer + "/sd", "a deviation cannot be below zero; this is " + EstimateRules.text(history.sd()));
        }
        for (int i = 0; i < history.events().size(); i++) {
            PastEvents.Event event = history.events().get(i);
            date(pointer + "/events/" + i + "/on", event.on());
            found.addAll(TextRules.number(pointer + "/events/" + i + "/amount", event.amount(), Bounds.LARGEST_AMOUNT));
        }
    }
}
