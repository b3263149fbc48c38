package app.tychon.core.model;

import java.util.List;

/** A plan under change: section by section put in place of what was there, then made a plan again. */
public final class PlanDraft {
    private Project project;
    private List<CalendarDefinition> calendars;
    private List<WbsNode> wbs;
    private List<Activity> activities;
    private List<Link> links;
    private List<Grade> grades;
    private List<Correlation> correlations;
    private List<Resource> resources;
    private List<Assignment> assignments;
    private List<CostLine> costs;
    private List<Risk> risks;
    private List<Acceptance> accepted;
    private List<Evidence> evidence;

    PlanDraft(Plan plan) {
        project = plan.project();
        calendars = plan.calendars();
        wbs = plan.wbs();
        activities = plan.activities();
        links = plan.links();
        grades = plan.grades();
        correlations = plan.correlations();
        resources = plan.resources();
        assignments = plan.assignments();
        costs = plan.costs();
        risks = plan.risks();
        accepted = plan.accepted();
        evidence = plan.evidence();
    }

    public PlanDraft project(Project others) {
        project = others;
        return this;
    }

    public PlanDraft calendars(List<CalendarDefinition> others) {
        calendars = others;
        return this;
    }

    public PlanDraft wbs(List<WbsNode> others) {
        wbs = others;
        return this;
    }

    public PlanDraft activities(List<Activity> others) {
        activities = others;
        return this;
    }

    public PlanDraft links(List<Link> others) {
        links = others;
        return this;
    }

    public PlanDraft grades(List<Grade> others) {
        grades = others;
        return this;
    }

    public PlanDraft correlations(List<Correlation> others) {
        correlations = others;
        return this;
    }

    public PlanDraft resources(List<Resource> others) {
        resources = others;
        return this;
    }

    public PlanDraft assignments(List<Assignment> others) {
        assignments = others;
        return this;
    }

    public PlanDraft costs(List<CostLine> others) {
        costs = others;
        return this;
    }

    public PlanDraft risks(List<Risk> others) {
        risks = others;
        return this;
    }

    public PlanDraft accepted(List<Acceptance> others) {
        accepted = others;
        return this;
    }

    public PlanDraft evidence(List<Evidence> others) {
        evidence = others;
        return this;
    }

    public Plan done() {
        return new Plan(
                project,
                calendars,
                wbs,
                activities,
                links,
                grades,
                correlations,
                resources,
                assignments,
                costs,
                risks,
                accepted,
                evidence);
    }
}
