package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A plan of which some is as in an earlier version and some as in a later one; rows are matched by id. What refers to rows
 * that are not there yet, or no more, waits for them or goes.
 */
public final class HybridPlan {
    /** What can change from one version to the next, in the order in which changes come in. */
    public enum Kind {
        /** The data date, and what has happened by then. */
        PROGRESS,
        /** Calendars, who works in which, and where lags run. */
        CALENDARS,
        /** Which work there is, how long it takes, what it waits for; new work comes without a range of its own. */
        LOGIC,
        /** Grades and estimates, of work and of cost lines. */
        RANGES,
        CORRELATION,
        /** The register but for its responses, and how risks combine on an activity. */
        RISKS,
        /** What is to be done about risks, and what is decided. */
        RESPONSES,
        /** Cost lines, resources and their work. */
        COSTS
    }

    private final Plan earlier;
    private final Plan later;
    private final Set<Kind> changed;

    private HybridPlan(Plan earlier, Plan later, Set<Kind> changed) {
        this.earlier = earlier;
        this.later = later;
        this.changed = changed;
    }

    /** @param changed what is as in the later version */
    public static Plan of(Plan earlier, Plan later, Set<Kind> changed) {
        return new HybridPlan(earlier, later, changed).plan();
    }

    private Plan plan() {
        Plan plan = version(Kind.LOGIC)
                .edit()
                .project(project())
                .calendars(union(Kind.CALENDARS, Plan::calendars, CalendarDefinition::id))
                .wbs(wbs())
                .activities(activities())
                .grades(union(Kind.RANGES, Plan::grades, Grade::id))
                .correlations(version(Kind.CORRELATION).correlations())
                .resources(version(Kind.COSTS).resources())
                .assignments(version(Kind.COSTS).assignments())
                .costs(costs())
                .escalation(version(Kind.COSTS).escalation())
                .funding(version(Kind.COSTS).funding())
                .risks(risks())
                .accepted(List.of())
                .evidence(List.of())
                .scenarios(List.of())
                .briefs(List.of())
                .done();
        Set<String> missing = ids(earlier);
        missing.addAll(ids(later));
        missing.removeAll(ids(plan));
        return Pruning.of(plan, missing).plan();
    }

    private Plan version(Kind kind) {
        return changed.contains(kind) ? later : earlier;
    }

    /** Everything that something can refer to. */
    private static Set<String> ids(Plan plan) {
        Set<String> ids = new HashSet<>();
        plan.wbs().forEach(node -> ids.add(node.id()));
        plan.activities().forEach(activity -> ids.add(activity.id()));
        plan.costs().forEach(line -> ids.add(line.id()));
        plan.resources().forEach(resource -> ids.add(resource.id()));
        return ids;
    }

    private Project project() {
        Project project = version(Kind.LOGIC).project();
        return new Project(
                project.id(),
                project.name(),
                project.currency(),
                project.start(),
                version(Kind.PROGRESS).project().dataDate(),
                version(Kind.CALENDARS).project().calendar(),
                version(Kind.CALENDARS).project().lagCalendar(),
                Targets.NONE,
                project.draws());
    }

    /** A section as in one version, with what only the other has and something may still refer to. */
    private <T> List<T> union(Kind kind, Function<Plan, List<T>> section, Function<T, String> id) {
        List<T> all = new ArrayList<>(section.apply(version(kind)));
        Set<String> known = all.stream().map(id).collect(Collectors.toSet());
        Stream.of(earlier, later)
                .flatMap(plan -> section.apply(plan).stream())
                .filter(one -> known.add(id.apply(one)))
                .forEach(all::add);
        return all;
    }

    private List<WbsNode> wbs() {
        Map<String, WbsNode> graded = byId(version(Kind.RANGES).wbs(), WbsNode::id);
        return version(Kind.LOGIC).wbs().stream()
                .map(node -> node.withGrade(
                        Optional.ofNullable(graded.get(node.id())).flatMap(WbsNode::grade)))
                .toList();
    }

    private List<Activity> activities() {
        Map<String, Activity> progressed = byId(version(Kind.PROGRESS).activities(), Activity::id);
        Map<String, Activity> worked = byId(version(Kind.CALENDARS).activities(), Activity::id);
        Map<String, Activity> ranged = byId(version(Kind.RANGES).activities(), Activity::id);
        Map<String, Activity> struck = byId(version(Kind.RISKS).activities(), Activity::id);
        return version(Kind.LOGIC).activities().stream()
                .map(own -> {
                    Optional<Activity> range =
                            Optional.ofNullable(ranged.get(own.id())).filter(one -> one.kind() == own.kind());
                    return own.withProgress(progress(own, progressed.getOrDefault(own.id(), own)))
                            .withCalendar(worked.getOrDefault(own.id(), own).calendar())
                            .withGrade(range.flatMap(Activity::grade))
                            .withEstimate(range.flatMap(Activity::estimate))
                            .withCombineRisks(struck.getOrDefault(own.id(), own).combineRisks());
                })
                .toList();
    }

    private List<Risk> risks() {
        Map<String, Risk> answered = byId(version(Kind.RESPONSES).risks(), Risk::id);
        return version(Kind.RISKS).risks().stream()
                .map(risk -> risk.withResponse(
                        Optional.ofNullable(answered.get(risk.id())).flatMap(Risk::response)))
                .toList();
    }

    private Progress progress(Activity own, Activity progressed) {
        if (version(Kind.PROGRESS).project().dataDate().isEmpty()) {
            return Progress.NONE;
        }
        if (progressed.kind() != own.kind()) {
            return own.progress();
        }
        Progress its = progressed.progress();
        // What remains is said in the unit of the duration it was said of.
        return progressed.duration().isElapsed() == own.duration().isElapsed()
                ? its
                : new Progress(its.actualStart(), its.actualFinish(), Optional.empty());
    }

    private List<CostLine> costs() {
        Map<String, CostLine> ranged = byId(version(Kind.RANGES).costs(), CostLine::id);
        return version(Kind.COSTS).costs().stream()
                .map(line -> {
                    CostLine range = ranged.getOrDefault(line.id(), line);
                    return line.withGrade(range.grade()).withEstimate(range.estimate());
                })
                .toList();
    }

    private static <T> Map<String, T> byId(List<T> rows, Function<T, String> id) {
        Map<String, T> byId = new HashMap<>();
        rows.forEach(row -> byId.put(id.apply(row), row));
        return byId;
    }
}
