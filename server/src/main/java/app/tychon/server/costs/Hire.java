package app.tychon.server.costs;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.exchange.costs.MoneyText;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Codes;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Something hired from the start of one activity or branch to the finish of another: a hammock over them, with a cost line of
 * which a part is due whatever happens and the rest is paid by the day.
 *
 * @param fixed  what is due whatever happens, as people write it; absent for nothing
 * @param perDay as people write it
 */
record Hire(String name, String from, String to, @Nullable String fixed, String perDay, @Nullable String category)
        implements Edit {
    private static final WorkDuration NONE = WorkDuration.ZERO;

    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        if (name.isBlank()) {
            problems.add(new Problem("/name", "say what is hired"));
        }
        String currency = plan.project().currency();
        double due = fixed == null || fixed.isBlank() ? 0 : money(fixed, "/fixed", currency, problems);
        double rate = money(perDay, "/perDay", currency, problems);
        if (rate < 0) {
            problems.add(new Problem("/perDay", "a rate cannot be below zero"));
        }
        Network before = Network.of(plan);
        List<String> openers = ends(before, from, true, "/from", problems);
        List<String> closers = ends(before, to, false, "/to", problems);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Codes codes = new Codes(plan);
        String hammock = codes.next(
                lastOf(plan.activities().stream().filter(Activity::isHammock).map(Activity::id), "H00"));
        Plan spanned = spanned(plan, hammock, openers, closers);
        CostLine line = CostLine.of(
                        codes.next(lastOf(plan.costs().stream().map(CostLine::id), "K00")), name.strip(), hammock, due)
                .withPerDay(Optional.of(rate))
                .withCategory(category == null ? "" : category.strip());
        List<CostLine> costs = new ArrayList<>(plan.costs());
        costs.add(line);
        return new Outcome(spanned.withCosts(costs), "Hire of " + name.strip() + " from " + from + " to " + to);
    }

    private static String lastOf(Stream<String> codes, String otherwise) {
        return codes.reduce((one, other) -> other).orElse(otherwise);
    }

    private static double money(String text, String pointer, String currency, List<Problem> problems) {
        try {
            return MoneyText.read(text, currency);
        } catch (IllegalArgumentException e) {
            problems.add(new Problem(pointer, e.getMessage()));
            return 0;
        }
    }

    /** An activity itself; of a branch what begins, or ends, the work in it. */
    private static List<String> ends(
            Network network, String id, boolean first, String pointer, List<Problem> problems) {
        if (network.isActivity(id)) {
            if (network.isHammock(network.position(id))) {
                problems.add(new Problem(pointer, "\"" + id + "\" is a hammock itself; say what it reaches over"));
            }
            return List.of(id);
        }
        if (!network.branches().isBranch(id)) {
            problems.add(new Problem(pointer, "there is no activity or branch \"" + id + "\""));
            return List.of();
        }
        Set<String> inside = Arrays.stream(network.branches().beneath(id))
                .filter(i -> !network.isHammock(i))
                .mapToObj(i -> network.activity(i).id())
                .collect(Collectors.toSet());
        if (inside.isEmpty()) {
            problems.add(new Problem(pointer, "no work lies in \"" + id + "\""));
        }
        Set<String> between = network.plan().links().stream()
                .filter(link -> inside.contains(link.from()) && inside.contains(link.to()))
                .map(link -> first ? link.to() : link.from())
                .collect(Collectors.toSet());
        return inside.stream().filter(one -> !between.contains(one)).sorted().toList();
    }

    /** The plan with a hammock behind the activity that opens it, or the last of several. */
    private Plan spanned(Plan plan, String hammock, List<String> openers, List<String> closers) {
        List<Activity> activities = new ArrayList<>(plan.activities());
        int at = 0;
        for (int i = 0; i < activities.size(); i++) {
            if (openers.contains(activities.get(i).id())) {
                at = i;
            }
        }
        Activity beside = activities.get(at);
        activities.add(
                at + 1,
                Activity.of(hammock, beside.wbs(), name.strip(), ActivityKind.HAMMOCK, NONE, beside.calendar()));
        List<Link> links = new ArrayList<>(plan.links());
        openers.forEach(one -> links.add(new Link(one, hammock, LinkType.SS, NONE)));
        closers.forEach(one -> links.add(new Link(one, hammock, LinkType.FF, NONE)));
        return plan.edit().activities(activities).links(links).done();
    }
}
