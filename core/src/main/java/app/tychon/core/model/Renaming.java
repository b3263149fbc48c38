package app.tychon.core.model;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** A plan in which branches and activities have other ids, wherever they are named. */
public final class Renaming {
    private Renaming() {}

    public static Plan of(Plan plan, String from, String to) {
        return of(plan, Map.of(from, to));
    }

    /** All at once, so that two may change theirs. @param names the new id of each that gets one */
    public static Plan of(Plan plan, Map<String, String> names) {
        UnaryOperator<String> id = name -> names.getOrDefault(name, name);
        return plan.edit()
                .wbs(plan.wbs().stream()
                        .map(n ->
                                n.withId(id.apply(n.id())).withParent(n.parent().map(id)))
                        .toList())
                .activities(plan.activities().stream()
                        .map(a -> names.containsKey(a.id()) || names.containsKey(a.wbs())
                                ? a.withId(id.apply(a.id())).withWbs(id.apply(a.wbs()))
                                : a)
                        .toList())
                .links(plan.links().stream()
                        .map(l -> new Link(id.apply(l.from()), id.apply(l.to()), l.type(), l.lag()))
                        .toList())
                .assignments(plan.assignments().stream()
                        .map(a -> new Assignment(id.apply(a.activity()), a.resource(), a.units()))
                        .toList())
                .costs(plan.costs().stream()
                        .map(c -> c.withOn(id.apply(c.on())).withInstalments(instalments(c.instalments(), id)))
                        .toList())
                .correlations(plan.correlations().stream()
                        .map(g -> new Correlation(g.id(), g.name(), all(g.members(), id), g.coefficient(), g.matrix()))
                        .toList())
                .risks(plan.risks().stream().map(risk -> risk(risk, id)).toList())
                .accepted(plan.accepted().stream()
                        .map(a -> new Acceptance(a.check(), id.apply(a.on()), a.finding(), a.reason()))
                        .toList())
                .evidence(plan.evidence().stream()
                        .map(e -> e.withOn(all(e.on(), id)))
                        .toList())
                .done();
    }

    private static List<Instalment> instalments(List<Instalment> all, UnaryOperator<String> id) {
        return all.stream()
                .map(one -> one.due() instanceof Instalment.Reached due
                        ? Instalment.at(one.share(), id.apply(due.on()), due.end())
                        : one)
                .toList();
    }

    private static List<String> all(List<String> names, UnaryOperator<String> id) {
        return names.stream().map(id).toList();
    }

    private static Risk risk(Risk risk, UnaryOperator<String> id) {
        Optional<Response> response = risk.response().map(r -> r.withImpacts(impacts(r.impacts(), id)));
        return risk.withImpacts(impacts(risk.impacts(), id)).withResponse(response);
    }

    private static List<Impact> impacts(List<Impact> impacts, UnaryOperator<String> id) {
        return impacts.stream()
                .map(i -> new Impact(all(i.on(), id), i.effect(), i.draw(), i.distribution()))
                .toList();
    }
}
