package app.tychon.server.plan;

import app.tychon.server.project.ProjectView;
import java.time.LocalDateTime;
import java.util.List;

/**
 * The plan with its calculated dates, in the words of the project file.
 *
 * @param finish where the plan ends without uncertainty
 * @param plannedCost sum of all cost lines and resources as planned
 */
record PlanView(
        ProjectView project,
        LocalDateTime finish,
        double plannedCost,
        List<BranchView> branches,
        List<ActivityView> activities,
        List<LinkView> links,
        List<CalendarView> calendars,
        List<GradeView> grades,
        List<CostView> costs,
        List<CorrelationView> correlations,
        List<EvidenceView> evidence,
        List<ResourceView> resources,
        List<AssignmentView> assignments,
        List<EscalationView> escalation,
        List<FundingView> funding,
        List<FigureView> figures) {}
