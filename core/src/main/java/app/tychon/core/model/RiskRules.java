package app.tychon.core.model;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/** What makes a risk register impossible to simulate. */
final class RiskRules {
    private static final double ROUNDING = 1e-9;

    private final Plan plan;
    private final PlanNames names;
    private final Found found;

    private RiskRules(Plan plan, PlanNames names, Found found) {
        this.plan = plan;
        this.names = names;
        this.found = found;
    }

    static void check(Plan plan, PlanNames names, Found found) {
        new RiskRules(plan, names, found).check();
    }

    private void check() {
        ImpactRules impacts = new ImpactRules(names, found);
        RegisterRules register = new RegisterRules(plan, found);
        for (int i = 0; i < plan.risks().size(); i++) {
            Risk risk = plan.risks().get(i);
            String pointer = "/risks/" + i;
            found.addAll(pointer, TextRules.name("/title", risk.title()));
            found.addAll(TextRules.text(pointer + "/category", risk.category(), Bounds.LONGEST_NAME));
            found.addAll(TextRules.text(pointer + "/owner", risk.owner(), Bounds.LONGEST_NAME));
            probability(pointer + "/probability", risk.probability());
            impacts.check(pointer + "/impacts/", risk.impacts());
            risk.recurrence().ifPresent(r -> recurrence(pointer + "/recurrence", r));
            risk.onlyIf().ifPresent(condition -> condition(pointer + "/onlyIf/risk", risk, condition));
            risk.response().ifPresent(response -> response(pointer + "/response", impacts, response));
            register.check(pointer, risk);
        }
        exclusiveGroups();
    }

    private void probability(String pointer, double value) {
        if (!(value >= 0 && value <= 1)) {
            found.add(pointer, "a probability lies between 0 and 1; this is " + EstimateRules.text(value));
        }
    }

    private void recurrence(String pointer, Recurrence recurrence) {
        if (recurrence instanceof Recurrence.PerYear often) {
            if (!(often.rate() > 0 && often.rate() <= Recurrence.MOST)) {
                found.add(
                        pointer + "/perYear",
                        "must be above 0 and at most " + Recurrence.MOST + "; this is "
                                + EstimateRules.text(often.rate()));
            }
            often.over()
                    .filter(over -> over.to().isBefore(over.from()))
                    .ifPresent(over -> found.add(pointer + "/to", over.to() + " is before " + over.from()));
        } else if (recurrence instanceof Recurrence.Count count) {
            found.addAll(pointer + "/count", ShapeRules.problems(count.shape()));
            if (count.shape().low() < 0 || !(count.shape().high() <= Recurrence.MOST)) {
                found.add(
                        pointer + "/count",
                        "a number of times lies between 0 and " + Recurrence.MOST + "; this goes from "
                                + EstimateRules.text(count.shape().low()) + " to "
                                + EstimateRules.text(count.shape().high()));
            }
        }
    }

    private void condition(String pointer, Risk risk, Risk.Condition condition) {
        if (!names.risks.containsKey(condition.risk())) {
            found.add(pointer, "there is no risk \"" + condition.risk() + "\"");
            return;
        }
        Set<String> seen = new HashSet<>();
        StringBuilder chain = new StringBuilder(risk.id());
        String at = condition.risk();
        while (at != null && seen.add(at)) {
            chain.append(" → ").append(at);
            if (at.equals(risk.id())) {
                found.add(pointer, "these risks wait for each other: " + chain);
                return;
            }
            at = Optional.ofNullable(names.risks.get(at))
                    .flatMap(Risk::onlyIf)
                    .map(Risk.Condition::risk)
                    .orElse(null);
        }
    }

    private void response(String pointer, ImpactRules impacts, Response response) {
        probability(pointer + "/probability", response.probability());
        impacts.check(pointer + "/impacts/", response.impacts());
        for (int i = 0; i < response.actions().size(); i++) {
            Action action = response.actions().get(i);
            String at = pointer + "/actions/" + i;
            found.addAll(at, TextRules.name("/name", action.name()));
            found.addAll(TextRules.number(at + "/cost", action.cost(), Bounds.LARGEST_AMOUNT));
            found.addAll(at, TextRules.date("/start", action.start().atStartOfDay()));
            found.addAll(at, TextRules.date("/finish", action.finish().atStartOfDay()));
            action.done().ifPresent(day -> found.addAll(at, TextRules.date("/done", day.atStartOfDay())));
            if (!(action.progress() >= 0 && action.progress() <= 1)) {
                found.add(
                        at + "/progress",
                        "progress lies between 0 and 1; this is " + EstimateRules.text(action.progress()));
            }
            if (action.finish().isBefore(action.start())) {
                found.add(at + "/finish", action.finish() + " is before the start, " + action.start());
            }
        }
    }

    /** At most one of a group occurs, so their chances are parts of one whole. */
    private void exclusiveGroups() {
        Map<String, List<Risk>> groups = plan.risks().stream()
                .filter(risk -> risk.isLive() && risk.exclusiveGroup().isPresent())
                .collect(Collectors.groupingBy(r -> r.exclusiveGroup().get(), TreeMap::new, Collectors.toList()));
        groups.forEach((name, risks) -> {
            long occurred =
                    risks.stream().filter(r -> r.state() == Risk.State.OCCURRED).count();
            if (occurred > 1) {
                exclusive(risks, "of the exclusive group \"" + name + "\", " + occurred + " have occurred");
            }
            if (occurred == 0) {
                sum(name, risks, "", Risk::presentProbability);
            }
            if (occurred == 0 && risks.stream().anyMatch(r -> r.response().isPresent())) {
                sum(name, risks, " after response", r -> r.response()
                        .map(Response::probability)
                        .orElse(r.probability()));
            }
        });
    }

    private void sum(String group, List<Risk> risks, String when, ToDoubleFunction<Risk> probability) {
        double sum = risks.stream().mapToDouble(probability).sum();
        if (sum > 1 + ROUNDING) {
            exclusive(
                    risks,
                    "the probabilities in the exclusive group \"" + group + "\" add up to " + EstimateRules.text(sum)
                            + when + ", more than 1");
        }
    }

    private void exclusive(List<Risk> risks, String message) {
        int first = plan.risks().indexOf(risks.get(0));
        found.add(
                "/risks/" + first + "/exclusiveGroup",
                message + ": " + risks.stream().map(Risk::id).collect(Collectors.joining(", ")));
    }
}
