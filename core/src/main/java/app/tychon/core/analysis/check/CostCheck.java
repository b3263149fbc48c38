package app.tychon.core.analysis.check;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.simulation.money.PlannedCost;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Looks for money that is not worth simulating. O(n log n) in cost lines and assignments. */
public final class CostCheck {
    /** A planned total below this share of the budget, or above all of it, is unlike it. */
    static final double LEAST_OF_BUDGET = 0.7;
    /** Where at least so many lines have a range, one without is told. */
    static final int LEAST_RANGED = 3;

    private static final double NOISE = 1e-9;

    private final Plan plan;
    private final Network network;
    private final Schedule schedule;
    private final Map<String, Resource> resources = new HashMap<>();
    private final List<CostFinding> findings = new ArrayList<>();

    private CostCheck(Network network, Schedule schedule) {
        this.network = network;
        this.schedule = schedule;
        plan = network.plan();
        plan.resources().forEach(resource -> resources.put(resource.id(), resource));
    }

    /** Everything that is found, fault by fault, in the plan's order. */
    public static List<CostFinding> of(Network network, Schedule schedule) {
        CostCheck check = new CostCheck(network, schedule);
        check.lines();
        check.ranges();
        check.resources();
        check.limits();
        check.totals();
        check.paidTwice();
        check.findings.sort(Comparator.comparing(CostFinding::fault));
        return List.copyOf(check.findings);
    }

    private void found(CostFault fault, String on, String message) {
        findings.add(new CostFinding(fault, on, message, Acceptance.of(plan, fault, on, message)));
    }

    private static String money(double amount) {
        return String.format(Locale.ROOT, "%,.0f", amount);
    }

    private void lines() {
        for (CostLine line : plan.costs()) {
            if (line.amount() == 0 && line.perDay().isEmpty() && !line.isUnderWay()) {
                found(CostFault.MONEY_ON_NOTHING, line.id(), "it has no amount");
            }
            if (growsWithTime(line) && takesNoTime(line.on())) {
                found(
                        CostFault.TIME_WITHOUT_DURATION,
                        line.id(),
                        "a part of it should grow with time, but what it stands on takes none");
            }
            double spent = line.spent().orElse(0.0);
            if (line.amount() > 0 && line.perDay().isEmpty() && spent > line.amount() + NOISE) {
                found(
                        CostFault.OVERSPENT,
                        line.id(),
                        money(spent) + " is spent, " + money(line.amount()) + " was planned");
            }
        }
    }

    private static boolean growsWithTime(CostLine line) {
        return line.perDay().isPresent() || line.fixedShare() < 1;
    }

    private boolean takesNoTime(String on) {
        if (network.branches().isBranch(on)) {
            return network.branches().beneath(on).length == 0;
        }
        int position = network.position(on);
        return !network.isHammock(position) && network.planned(position) == 0;
    }

    private void ranges() {
        Estimates estimates = Estimates.of(plan);
        List<CostLine> ahead = plan.costs().stream()
                .filter(line -> line.amount() != 0 && !network.isHistory(line.on()))
                .toList();
        long ranged =
                ahead.stream().filter(line -> estimates.of(line).isPresent()).count();
        if (ranged >= LEAST_RANGED) {
            ahead.stream()
                    .filter(line -> estimates.of(line).isEmpty())
                    .forEach(line -> found(
                            CostFault.CERTAIN_LINE,
                            line.id(),
                            money(line.amount()) + " count as certain, while " + ranged + " of " + ahead.size()
                                    + " lines have a range"));
        }
    }

    private void resources() {
        Set<String> used = new HashSet<>();
        for (Assignment one : plan.assignments()) {
            used.add(one.resource());
            if (one.units() == 0) {
                found(
                        CostFault.MONEY_ON_NOTHING,
                        one.activity(),
                        "no units of " + resources.get(one.resource()).name() + " work on it");
            }
        }
        for (Resource resource : plan.resources()) {
            boolean free = resource.rate() == 0 && resource.rates().stream().allMatch(rate -> rate.rate() == 0);
            if (free && used.contains(resource.id())) {
                found(CostFault.NO_RATE, resource.id(), "it is at work and has no rate");
            }
        }
    }

    private void limits() {
        Map<String, ScheduledActivity> dates = new HashMap<>();
        schedule.activities().forEach(one -> dates.put(one.id(), one));
        for (Resource resource : plan.resources()) {
            resource.limit().ifPresent(limit -> limit(resource, limit, dates));
        }
    }

    /** Goes through starts and finishes in the order of time; what ends where another starts has ended. */
    private void limit(Resource resource, double limit, Map<String, ScheduledActivity> dates) {
        List<double[]> events = new ArrayList<>();
        for (Assignment one : plan.assignments()) {
            ScheduledActivity date = dates.get(one.activity());
            if (one.resource().equals(resource.id()) && date.earlyFinish() > date.earlyStart()) {
                events.add(new double[] {date.earlyStart(), one.units()});
                events.add(new double[] {date.earlyFinish(), -one.units()});
            }
        }
        events.sort(Comparator.<double[]>comparingDouble(event -> event[0]).thenComparingDouble(event -> event[1]));
        double now = 0;
        double most = 0;
        double since = 0;
        for (double[] event : events) {
            now += event[1];
            if (now > most + NOISE) {
                most = now;
                since = event[0];
            }
        }
        if (most > limit + NOISE) {
            found(
                    CostFault.OVER_LIMIT,
                    resource.id(),
                    units(most) + " at once from " + Instants.toCivil(since).toLocalDate()
                            + " on, as planned; there are " + units(limit));
        }
    }

    private static String units(double units) {
        return units == Math.rint(units)
                ? String.valueOf((long) units)
                : String.valueOf(Math.round(units * 100) / 100.0);
    }

    private void totals() {
        double planned = PlannedCost.of(network);
        plan.project().targets().cost().ifPresent(budget -> {
            if (planned > budget || planned < LEAST_OF_BUDGET * budget) {
                found(
                        CostFault.UNLIKE_BUDGET,
                        Plan.PROJECT,
                        money(planned) + " planned against a budget of " + money(budget));
            }
        });
        LocalDate start = plan.project().start().toLocalDate();
        List<Funding> early = plan.funding().stream()
                .filter(step -> step.date().isBefore(start))
                .toList();
        if (!early.isEmpty()) {
            found(
                    CostFault.EARLY_FUNDING,
                    Plan.PROJECT,
                    early.size() == 1
                            ? "one step of funding comes before the project begins, "
                                    + early.get(0).date()
                            : early.size() + " steps of funding come before the project begins");
        }
        double funded = plan.funding().stream().mapToDouble(Funding::amount).sum();
        if (!plan.funding().isEmpty() && funded < planned) {
            found(
                    CostFault.SHORT_FUNDING,
                    Plan.PROJECT,
                    money(funded) + " is available in the end; the plan costs " + money(planned));
        }
    }

    /** Lines that grow with time where a resource that is paid by time is at work, too. */
    private void paidTwice() {
        Map<String, List<String>> paid = new HashMap<>();
        for (Assignment one : plan.assignments()) {
            Resource resource = resources.get(one.resource());
            if (resource.per() != Resource.Per.UNIT && one.units() > 0) {
                paid.computeIfAbsent(one.activity(), on -> new ArrayList<>()).add(resource.name());
            }
        }
        for (CostLine line : plan.costs()) {
            if (growsWithTime(line) && paid.containsKey(line.on())) {
                found(
                        CostFault.PAID_TWICE,
                        line.id(),
                        "it grows with the time of " + line.on() + ", where "
                                + String.join(" and ", paid.get(line.on())) + " is paid by time, too");
            }
        }
    }
}
