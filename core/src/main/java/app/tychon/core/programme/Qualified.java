package app.tychon.core.programme;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Link;
import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.WbsNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The plan of one project with the ids that it has in a programme, beneath a branch of its own, in the programme's money. */
final class Qualified {
    private final Part part;
    private final Plan plan;
    private final Conversion money;
    private final Set<String> resources;

    private Qualified(Member member) {
        part = member.part();
        plan = member.plan();
        money = new Conversion(member.rate().map(ExchangeRate::worth).orElse(1.0));
        resources = plan.resources().stream().map(Resource::id).collect(Collectors.toSet());
    }

    /** What of it is simulated; checks it accepted, past work and its own scenarios and briefs stay with it. */
    static PlanDraft of(Member member) {
        return new Qualified(member).draft();
    }

    private PlanDraft draft() {
        return plan.edit()
                .calendars(plan.calendars().stream().map(this::calendar).toList())
                .wbs(branches())
                .activities(plan.activities().stream().map(this::activity).toList())
                .links(plan.links().stream()
                        .map(link -> new Link(id(link.from()), id(link.to()), link.type(), link.lag()))
                        .toList())
                .grades(plan.grades().stream()
                        .map(g -> new Grade(id(g.id()), g.name(), g.shape(), g.mark(), g.note()))
                        .toList())
                .correlations(plan.correlations().stream()
                        .map(c -> new Correlation(id(c.id()), c.name(), ids(c.members()), c.coefficient(), c.matrix()))
                        .toList())
                .resources(plan.resources().stream().map(this::resource).toList())
                .assignments(plan.assignments().stream()
                        .map(one -> new Assignment(id(one.activity()), id(one.resource()), one.units()))
                        .toList())
                .costs(plan.costs().stream().map(this::cost).toList())
                .risks(plan.risks().stream().map(this::risk).toList())
                .escalation(plan.escalation().stream()
                        .map(one -> new Escalation(category(one.category()), one.perYear()))
                        .toList())
                .funding(plan.funding().stream().map(money::of).toList());
    }

    private String id(String id) {
        return part.qualified(id);
    }

    private List<String> ids(List<String> ids) {
        return ids.stream().map(this::id).toList();
    }

    /** A level above those of its own, so that prices of one project say nothing of those of another. */
    private String category(String category) {
        return category.isEmpty() ? part.code() : part.code() + "/" + category;
    }

    private CalendarDefinition calendar(CalendarDefinition calendar) {
        return new CalendarDefinition(
                id(calendar.id()), calendar.name(), calendar.hoursPerDay(), calendar.week(), calendar.exceptions());
    }

    private List<WbsNode> branches() {
        List<WbsNode> branches = new ArrayList<>();
        branches.add(new WbsNode(part.root(), Optional.empty(), part.code(), part.name(), Optional.empty()));
        plan.wbs()
                .forEach(node -> branches.add(new WbsNode(
                        id(node.id()),
                        Optional.of(node.parent().map(this::id).orElse(part.root())),
                        part.code() + "." + node.code(),
                        node.name(),
                        node.grade().map(this::id))));
        return branches;
    }

    private Activity activity(Activity activity) {
        return activity.withId(id(activity.id()))
                .withWbs(id(activity.wbs()))
                .withCalendar(id(activity.calendar()))
                .withGrade(activity.grade().map(this::id));
    }

    private Resource resource(Resource resource) {
        return money.of(resource).withId(id(resource.id())).withCategory(category(resource.category()));
    }

    private CostLine cost(CostLine line) {
        return money.of(line)
                .withId(id(line.id()))
                .withOn(id(line.on()))
                .withGrade(line.grade().map(this::id))
                .withCategory(category(line.category()))
                .withInstalments(line.instalments().stream()
                        .map(one -> one.due() instanceof Instalment.Reached due
                                ? Instalment.at(one.share(), id(due.on()), due.end())
                                : one)
                        .toList());
    }

    private Risk risk(Risk risk) {
        // What really happened stands in days and money of the project as a whole.
        Risk known = risk.happened(resources::contains)
                .map(facts -> risk.withImpacts(facts)
                        .withEntry(risk.entry().withOccurred(Optional.empty()))
                        .withResponse(Optional.empty()))
                .orElse(risk);
        return known.withId(id(risk.id()))
                .withImpacts(impacts(known.impacts()))
                .withOnlyIf(known.onlyIf().map(c -> new Risk.Condition(id(c.risk()), c.occurs())))
                .withExclusiveGroup(known.exclusiveGroup().map(this::id))
                .withResponse(known.response().map(this::response))
                .withEntry(known.entry().withScore(Optional.empty()).withScoreAfter(Optional.empty()));
    }

    private Response response(Response response) {
        return response.withImpacts(impacts(response.impacts()))
                .withActions(response.actions().stream().map(money::of).toList());
    }

    private List<Impact> impacts(List<Impact> impacts) {
        return impacts.stream()
                .map(money::of)
                .map(one -> new Impact(ids(one.on()), one.effect(), one.draw(), one.distribution()))
                .toList();
    }
}
