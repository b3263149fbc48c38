package app.tychon.core.programme;

import app.tychon.core.model.Correlation;
import app.tychon.core.model.Funding;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Risk;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * The projects of a programme as one plan, which is simulated as any other. Each project is a branch of its own, whose ids begin
 * with its code; it keeps its calendars, its start and data date, its lags, and what its random numbers are drawn by. So a project
 * that no tie reaches has, future by future, the very dates and money that it has alone (in its own currency).
 */
public final class ProgrammePlan {
    private ProgrammePlan() {}

    /**
     * @throws InvalidPlanException with every problem of the programme, those of loops through several projects included
     */
    public static Plan of(Programme programme) {
        List<Problem> problems = ProgrammeRules.problems(programme);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        List<PlanDraft> drafts = programme.members().stream().map(Qualified::of).toList();
        List<Plan> plans = drafts.stream().map(PlanDraft::done).toList();
        List<Link> links = new ArrayList<>(all(plans, Plan::links));
        List<Correlation> correlations = new ArrayList<>(all(plans, Plan::correlations));
        Map<String, Risk> risks = new HashMap<>();
        all(plans, Plan::risks).forEach(risk -> risks.put(risk.id(), risk));
        for (Tie tie : programme.ties()) {
            if (tie instanceof Tie.Logic logic) {
                links.add(new Link(logic.from(), logic.to(), logic.type(), logic.lag()));
            } else if (tie instanceof Tie.Together together) {
                correlations.add(
                        Correlation.group(together.id(), together.name(), together.members(), together.coefficient()));
            } else if (tie instanceof Tie.SharedRisk shared) {
                shared.others().forEach(other -> risks.computeIfPresent(other, (id, risk) -> follows(risk, shared)));
            }
        }
        return plans.get(0)
                .edit()
                .project(project(programme))
                .calendars(all(plans, Plan::calendars))
                .wbs(all(plans, Plan::wbs))
                .activities(all(plans, Plan::activities))
                .links(links)
                .grades(all(plans, Plan::grades))
                .correlations(correlations)
                .resources(all(plans, Plan::resources))
                .assignments(all(plans, Plan::assignments))
                .costs(all(plans, Plan::costs))
                .risks(all(plans, Plan::risks).stream()
                        .map(risk -> risks.get(risk.id()))
                        .toList())
                .accepted(List.of())
                .evidence(List.of())
                .scheme(Optional.empty())
                .escalation(all(plans, Plan::escalation))
                .funding(funding(plans))
                .scenarios(List.of())
                .briefs(List.of())
                .parts(programme.members().stream().map(Member::part).toList())
                .done();
    }

    private static <T> List<T> all(List<Plan> plans, Function<Plan, List<T>> section) {
        return plans.stream().flatMap(plan -> section.apply(plan).stream()).toList();
    }

    /** It strikes where the first of them does, and with its own sizes. */
    private static Risk follows(Risk risk, Tie.SharedRisk shared) {
        return risk.withProbability(1)
                .withOnlyIf(Optional.of(new Risk.Condition(shared.risk(), true)))
                .withResponse(risk.response().map(response -> response.withProbability(1)));
    }

    private static Project project(Programme programme) {
        Member first = programme.members().get(0);
        return new Project(
                programme.id(),
                programme.name(),
                programme.currency(),
                starts(programme).min(LocalDateTime::compareTo).orElseThrow(),
                programme.members().stream()
                        .flatMap(member -> member.plan().project().dataDate().stream())
                        .max(LocalDateTime::compareTo),
                first.part().calendar(),
                LagCalendar.PREDECESSOR,
                programme.targets());
    }

    private static Stream<LocalDateTime> starts(Programme programme) {
        return programme.members().stream().map(Member::part).map(Part::start);
    }

    /** What becomes available on one day is available to all. */
    private static List<Funding> funding(List<Plan> plans) {
        Map<LocalDate, Funding> byDay = new TreeMap<>();
        all(plans, Plan::funding)
                .forEach(step -> byDay.merge(
                        step.date(),
                        step,
                        (one, other) -> new Funding(one.date(), one.amount() + other.amount(), one.name())));
        return List.copyOf(byDay.values());
    }
}
