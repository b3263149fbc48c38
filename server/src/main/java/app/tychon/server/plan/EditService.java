package app.tychon.server.plan;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityRules;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Shape;
import app.tychon.exchange.DurationText;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Edits of activities: checked as a whole, stored as a whole or not at all. */
@Service
class EditService {
    private static final Estimate CERTAIN = new Estimate(new Shape.Fixed(1), Basis.FACTOR);

    private final ProjectRepository projects;
    private final PlanStore plans;
    private final PlanRecords records;
    private final ApplicationEventPublisher events;

    EditService(ProjectRepository projects, PlanStore plans, PlanRecords records, ApplicationEventPublisher events) {
        this.projects = projects;
        this.plans = plans;
        this.records = records;
        this.events = events;
    }

    /**
     * Applies edits to a project.
     *
     * @param seen the revision the editor saw; edits of an older one are refused
     * @throws InvalidPlanException with the problem of every field, pointers into the list of edits
     */
    @Transactional
    public EditResult edit(UUID id, Optional<Long> seen, List<ActivityEdit> edits) {
        ProjectEntity project =
                projects.findForEditing(id).orElseThrow(() -> new NotFoundException("There is no such project."));
        if (seen.filter(revision -> revision != project.revision()).isPresent()) {
            throw new ConflictException(
                    "The plan was changed meanwhile, in another window or by somebody else. Look at it as it is now, then edit again.");
        }
        LoadedPlan before = plans.find(id);
        List<Problem> problems = new ArrayList<>();
        Map<String, Activity> changed = changed(before, edits, problems);
        Relinking relinking = Relinking.of(before.plan(), edits, problems);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        List<Activity> activities = before.plan().activities().stream()
                .map(a -> changed.getOrDefault(a.id(), a))
                .toList();
        LoadedPlan after =
                after(project.revision() + 1, relinking, before.plan().withActivities(activities));
        records.activities(id, changed.keySet()).forEach(row -> row.update(changed.get(row.code())));
        store(id, relinking);
        project.changed();
        events.publishEvent(new PlanChanged(id, after));
        return difference(before, after, relinking);
    }

    private static LoadedPlan after(long revision, Relinking relinking, Plan plan) {
        try {
            return LoadedPlan.of(revision, relinking.apply(plan));
        } catch (InvalidPlanException e) {
            throw relinking.toldHere(e);
        }
    }

    private void store(UUID project, Relinking relinking) {
        if (relinking.isEmpty()) {
            return;
        }
        Map<String, UUID> keys = records.activities(project, relinking.touched()).stream()
                .collect(Collectors.toMap(ActivityEntity::code, ActivityEntity::id));
        records.deleteLinksInto(
                project, relinking.activities().stream().map(keys::get).toList());
        int position = records.nextLinkPosition(project);
        for (Link link : relinking.added()) {
            records.insert(new LinkEntity(project, position++, keys.get(link.from()), keys.get(link.to()), link));
        }
    }

    private static Map<String, Activity> changed(LoadedPlan plan, List<ActivityEdit> edits, List<Problem> problems) {
        Map<String, Activity> known =
                plan.plan().activities().stream().collect(Collectors.toMap(Activity::id, Function.identity()));
        Map<String, Activity> changed = new HashMap<>();
        Estimates grades = Estimates.of(plan.plan());
        for (int i = 0; i < edits.size(); i++) {
            ActivityEdit edit = edits.get(i);
            String pointer = "/" + i;
            Activity activity = changed.getOrDefault(edit.id(), known.get(edit.id()));
            if (activity == null) {
                problems.add(new Problem(pointer + "/id", "there is no activity \"" + edit.id() + "\""));
                continue;
            }
            List<Problem> here = new ArrayList<>();
            Activity edited = apply(activity, edit, grades, here);
            if (here.isEmpty()) {
                here.addAll(ActivityRules.problems(edited));
            }
            here.forEach(p -> problems.add(new Problem(pointer + p.pointer(), p.message())));
            changed.put(edit.id(), edited);
        }
        return changed;
    }

    private static Activity apply(Activity activity, ActivityEdit edit, Estimates grades, List<Problem> problems) {
        Optional<Estimate> estimate = activity.estimate();
        if (Boolean.TRUE.equals(edit.certain())) {
            // Where a grade would take its place, certainty has to be said.
            estimate = grades.gradeOf(activity).map(grade -> CERTAIN);
        } else if (edit.estimate() != null) {
            JsonCursor at = JsonCursor.at(edit.estimate(), "/estimate", problems);
            estimate = Optional.of(EstimateJson.read(at, Basis.DAYS));
        }
        return activity.withName(
                        read(edit.name(), "/name", problems, JsonCursor::text).orElse(activity.name()))
                .withDuration(read(edit.duration(), "/duration", problems, DurationText::read)
                        .orElse(activity.duration()))
                .withEstimate(estimate);
    }

    /** The new value of a field, where the edit has one. */
    private static <T> Optional<T> read(
            JsonNode node, String pointer, List<Problem> problems, Function<JsonCursor, T> reader) {
        return Optional.ofNullable(node).map(given -> reader.apply(JsonCursor.at(given, pointer, problems)));
    }

    private static EditResult difference(LoadedPlan before, LoadedPlan after, Relinking relinking) {
        PlanMapping now = new PlanMapping(after);
        List<ActivityView> differing = IntStream.range(
                        0, after.plan().activities().size())
                .filter(i -> before.plan().activities().get(i)
                                != after.plan().activities().get(i)
                        || !before.schedule()
                                .activities()
                                .get(i)
                                .equals(after.schedule().activities().get(i)))
                .mapToObj(now::activity)
                .toList();
        return new EditResult(
                after.revision(),
                Instants.toCivil(after.schedule().finish()),
                after.cost(),
                differing,
                now.branches(),
                relinking.views());
    }
}
