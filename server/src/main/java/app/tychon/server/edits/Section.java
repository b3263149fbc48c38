package app.tychon.server.edits;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Risk;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.CalendarJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.MoneyJson;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.SpreadJson;
import app.tychon.exchange.WorkJson;
import app.tychon.server.plan.Into;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * A part of the plan that is a list of objects with keys, as change sets see it.
 *
 * @param name as the project file calls it
 * @param put replaces the list in a plan under change
 */
record Section<T>(
        String name,
        Function<Plan, List<T>> of,
        Function<T, String> key,
        Function<T, ObjectNode> write,
        Function<JsonCursor, T> read,
        BiConsumer<PlanDraft, List<T>> put) {

    static final List<Section<?>> ALL = List.of(
            new Section<>(
                    "project",
                    plan -> List.of(plan.project()),
                    project -> "project",
                    WorkJson::write,
                    WorkJson::project,
                    (draft, projects) -> draft.project(projects.get(0))),
            new Section<>(
                    "calendars",
                    Plan::calendars,
                    CalendarDefinition::id,
                    CalendarJson::write,
                    CalendarJson::read,
                    PlanDraft::calendars),
            new Section<>("wbs", Plan::wbs, WbsNode::id, WorkJson::write, WorkJson::branch, PlanDraft::wbs),
            new Section<>(
                    "activities",
                    Plan::activities,
                    Activity::id,
                    WorkJson::write,
                    at -> WorkJson.activity(at, ""),
                    PlanDraft::activities),
            into("links", Plan::links, Link::to, WorkJson::write, WorkJson::link, PlanDraft::links),
            new Section<>("grades", Plan::grades, Grade::id, SpreadJson::write, SpreadJson::grade, PlanDraft::grades),
            new Section<>(
                    "correlations",
                    Plan::correlations,
                    Correlation::id,
                    SpreadJson::write,
                    SpreadJson::correlation,
                    PlanDraft::correlations),
            new Section<>(
                    "resources",
                    Plan::resources,
                    Resource::id,
                    MoneyJson::write,
                    MoneyJson::resource,
                    PlanDraft::resources),
            into(
                    "assignments",
                    Plan::assignments,
                    Assignment::activity,
                    MoneyJson::write,
                    MoneyJson::assignment,
                    PlanDraft::assignments),
            new Section<>("costs", Plan::costs, CostLine::id, MoneyJson::write, MoneyJson::cost, PlanDraft::costs),
            new Section<>("risks", Plan::risks, Risk::id, RiskJson::write, RiskJson::read, PlanDraft::risks),
            new Section<>(
                    "accepted",
                    Plan::accepted,
                    Acceptance::key,
                    WorkJson::write,
                    WorkJson::acceptance,
                    PlanDraft::accepted),
            new Section<>(
                    "evidence",
                    Plan::evidence,
                    Evidence::id,
                    SpreadJson::write,
                    SpreadJson::evidence,
                    PlanDraft::evidence));

    /** What leads into an activity is one object. */
    private static <T> Section<Into<T>> into(
            String name,
            Function<Plan, List<T>> of,
            Function<T, String> activity,
            Function<T, ObjectNode> write,
            Function<JsonCursor, T> read,
            BiConsumer<PlanDraft, List<T>> put) {
        return new Section<>(
                name,
                plan -> Into.of(of.apply(plan), activity),
                Into::activity,
                into -> {
                    ObjectNode node = JsonNodeFactory.instance.objectNode();
                    node.put("into", into.activity());
                    into.all().forEach(one -> node.withArray("all").add(write.apply(one)));
                    return node;
                },
                at -> new Into<>(at.get("into").text(), at.list("all", read)),
                (draft, groups) -> put.accept(
                        draft,
                        groups.stream().flatMap(into -> into.all().stream()).toList()));
    }
}
