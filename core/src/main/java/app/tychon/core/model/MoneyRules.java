package app.tychon.core.model;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What cannot be true of resources, of who uses them, of cost lines, of rising prices and of funding. */
final class MoneyRules {
    /** Instalments add up to the whole within this. */
    private static final double LEAST_SHARE = 1e-6;
    /** Prices that rise faster in a year are a slip of the pen. */
    private static final double FASTEST = 10;

    private MoneyRules() {}

    static void resources(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.resources().size(); i++) {
            Resource resource = plan.resources().get(i);
            found.addAll("/resources/" + i, TextRules.name("/name", resource.name()));
            found.addAll("/resources/" + i, TextRules.text("/category", resource.category(), Bounds.LONGEST_NAME));
            rate("/resources/" + i + "/rate", resource.rate(), found);
            rates("/resources/" + i + "/rates", resource, found);
            String limit = "/resources/" + i + "/limit";
            resource.limit().ifPresent(most -> {
                found.addAll(TextRules.number(limit, most, Bounds.MOST_UNITS));
                if (!(most > 0)) {
                    found.add(limit, "a limit is above zero; this is " + EstimateRules.text(most));
                }
            });
        }
    }

    private static void rates(String pointer, Resource resource, Found found) {
        LocalDate before = LocalDate.MIN;
        for (int i = 0; i < resource.rates().size(); i++) {
            Resource.RateFrom one = resource.rates().get(i);
            rate(pointer + "/" + i + "/rate", one.rate(), found);
            found.addAll(TextRules.date(pointer + "/" + i + "/from", one.from().atStartOfDay()));
            if (!one.from().isAfter(before)) {
                found.add(pointer + "/" + i + "/from", "each rate begins after the one before; this is " + one.from());
            }
            before = one.from();
        }
    }

    private static void rate(String pointer, double rate, Found found) {
        found.addAll(TextRules.number(pointer, rate, Bounds.MOST_UNITS));
        if (rate < 0) {
            found.add(pointer, "a rate cannot be below zero; this is " + EstimateRules.text(rate));
        }
    }

    static void assignments(Plan plan, PlanNames names, Found found) {
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < plan.assignments().size(); i++) {
            Assignment assignment = plan.assignments().get(i);
            String pointer = "/assignments/" + i;
            names.needActivity(pointer + "/activity", assignment.activity(), found);
            if (!names.resources.contains(assignment.resource())) {
                found.add(pointer + "/resource", "there is no resource \"" + assignment.resource() + "\"");
            }
            if (!seen.add(List.of(assignment.activity(), assignment.resource()))) {
                found.add(
                        pointer,
                        "\"" + assignment.resource() + "\" is assigned to \"" + assignment.activity() + "\" twice");
            }
            found.addAll(TextRules.number(pointer + "/units", assignment.units(), Bounds.MOST_UNITS));
            if (assignment.units() < 0) {
                found.add(
                        pointer + "/units",
                        "units cannot be below zero; this is " + EstimateRules.text(assignment.units()));
            }
        }
    }

    static void costs(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.costs().size(); i++) {
            CostLine line = plan.costs().get(i);
            String pointer = "/costs/" + i;
            found.addAll(pointer, TextRules.name("/name", line.name()));
            names.needGrade(pointer, line.grade(), found);
            found.addAll(TextRules.number(pointer + "/amount", line.amount(), Bounds.LARGEST_AMOUNT));
            if (!names.isPlace(line.on())) {
                found.add(pointer + "/on", "there is no activity or WBS branch \"" + line.on() + "\"");
            }
            if (!(line.fixedShare() >= 0 && line.fixedShare() <= 1)) {
                found.add(
                        pointer + "/fixedShare",
                        "a share lies between 0 and 1; this is " + EstimateRules.text(line.fixedShare()));
            }
            found.addAll(pointer, TextRules.text("/category", line.category(), Bounds.LONGEST_NAME));
            line.perDay().ifPresent(rate -> rate(pointer + "/perDay", rate, found));
            instalments(pointer + "/instalments", line, names, found);
            progress(pointer, line, found);
            line.estimate()
                    .ifPresent(estimate -> found.addAll(
                            pointer + "/estimate", EstimateRules.problems(estimate, EstimateRules.Subject.COST)));
        }
    }

    private static void instalments(String pointer, CostLine line, PlanNames names, Found found) {
        if (line.instalments().isEmpty()) {
            return;
        }
        double sum = 0;
        for (int i = 0; i < line.instalments().size(); i++) {
            Instalment one = line.instalments().get(i);
            String here = pointer + "/" + i;
            if (!(one.share() >= 0 && one.share() <= 1)) {
                found.add(here + "/share", "a share lies between 0 and 1; this is " + EstimateRules.text(one.share()));
            }
            sum += one.share();
            if (one.due() instanceof Instalment.OnDay day) {
                found.addAll(TextRules.date(here + "/date", day.date().atStartOfDay()));
            } else if (one.due() instanceof Instalment.Reached reached && !names.isPlace(reached.on())) {
                found.add(here + "/on", "there is no activity or WBS branch \"" + reached.on() + "\"");
            }
        }
        if (Math.abs(sum - 1) > LEAST_SHARE) {
            found.add(
                    pointer,
                    "instalments add up to the whole, 100 %; these are "
                            + EstimateRules.text(Math.round(sum * 1e6) / 1e4) + " %");
        }
    }

    private static void progress(String pointer, CostLine line, Found found) {
        line.spent().ifPresent(money -> paid(pointer + "/spent", "what is spent", money, line, found));
        line.toGo().ifPresent(money -> paid(pointer + "/toGo", "what is still to be spent", money, line, found));
    }

    private static void paid(String pointer, String what, double money, CostLine line, Found found) {
        found.addAll(TextRules.number(pointer, money, Bounds.LARGEST_AMOUNT));
        if (line.amount() >= 0 && money < 0) {
            found.add(pointer, what + " cannot be below zero; this is " + EstimateRules.text(money));
        }
    }

    static void escalation(Plan plan, PlanNames names, Found found) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < plan.escalation().size(); i++) {
            Escalation one = plan.escalation().get(i);
            String pointer = "/escalation/" + i;
            found.addAll(pointer, TextRules.text("/category", one.category(), Bounds.LONGEST_NAME));
            if (!seen.add(one.category())) {
                found.add(pointer + "/category", "how prices rise in \"" + one.category() + "\" is said twice");
            }
            found.addAll(pointer + "/perYear", ShapeRules.problems(one.perYear()));
            if (!(one.perYear().low() > -1)) {
                found.add(
                        pointer + "/perYear",
                        "prices cannot fall by 100 % a year or more; a shape without a lower end needs a cut-off");
            }
            if (one.perYear().high() > FASTEST && Double.isFinite(one.perYear().high())) {
                found.add(
                        pointer + "/perYear",
                        "a yearly rate is at most " + EstimateRules.text(FASTEST) + ", "
                                + EstimateRules.text(100 * FASTEST) + " %; this is "
                                + EstimateRules.text(one.perYear().high()));
            }
        }
    }

    static void funding(Plan plan, PlanNames names, Found found) {
        Set<LocalDate> seen = new HashSet<>();
        for (int i = 0; i < plan.funding().size(); i++) {
            Funding one = plan.funding().get(i);
            String pointer = "/funding/" + i;
            found.addAll(TextRules.date(pointer + "/date", one.date().atStartOfDay()));
            found.addAll(pointer, TextRules.text("/name", one.name(), Bounds.LONGEST_NAME));
            found.addAll(TextRules.number(pointer + "/amount", one.amount(), Bounds.LARGEST_AMOUNT));
            if (!(one.amount() > 0)) {
                found.add(
                        pointer + "/amount",
                        "each step adds to what is available, so it is above zero; this is "
                                + EstimateRules.text(one.amount()));
            }
            if (!seen.add(one.date())) {
                found.add(pointer + "/date", "there is another step of funding on " + one.date());
            }
        }
    }
}
