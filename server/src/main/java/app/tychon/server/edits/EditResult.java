package app.tychon.server.edits;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Delta;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Into;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.server.plan.ActivityView;
import app.tychon.server.plan.BranchView;
import app.tychon.server.plan.LinkView;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanMapping;
import app.tychon.server.plan.PlanParts;
import app.tychon.server.project.ProjectView;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * What an edit has led to.
 *
 * @param revision of the project after it
 * @param plannedCost sum of all cost lines and resources as planned
 * @param activities every activity that now differs, by the edit itself or in its dates
 * @param order codes of all activities, where some came, went or moved
 * @param branches every branch, with its dates
 * @param predecessors the links into every activity whose predecessors now differ, by its code
 * @param parts sections that differ, as a whole
 * @param gone what went with rows that were removed, in words
 */
public record EditResult(
        long revision,
        ProjectView project,
        LocalDateTime finish,
        double plannedCost,
        List<ActivityView> activities,
        @Nullable List<String> order,
        List<BranchView> branches,
        Map<String, List<LinkView>> predecessors,
        PlanParts parts,
        List<String> gone,
        Undoing undoing) {

    static EditResult of(ProjectView project, LoadedPlan before, LoadedPlan after, List<String> gone, Undoing undoing) {
        PlanMapping now = new PlanMapping(after);
        Plan old = before.plan();
        Plan plan = after.plan();
        List<String> ids = plan.activities().stream().map(Activity::id).toList();
        boolean reordered =
                !ids.equals(old.activities().stream().map(Activity::id).toList());
        return new EditResult(
                after.revision(),
                project,
                Instants.toCivil(after.schedule().finish()),
                after.cost(),
                differing(before, after, now),
                reordered ? ids : null,
                now.branches(),
                predecessors(old.links(), plan.links()),
                PlanParts.differing(before, after, now),
                gone,
                undoing);
    }

    private static List<ActivityView> differing(LoadedPlan before, LoadedPlan after, PlanMapping now) {
        Map<String, Integer> places = new HashMap<>();
        List<Activity> old = before.plan().activities();
        for (int i = 0; i < old.size(); i++) {
            places.put(old.get(i).id(), i);
        }
        // A calendar is seen in every activity that has it, a grade in every one that inherits it.
        boolean all = !before.plan().calendars().equals(after.plan().calendars());
        Estimates graded = Estimates.of(before.plan());
        Estimates regraded = Estimates.of(after.plan());
        List<Activity> activities = after.plan().activities();
        List<ScheduledActivity> dates = after.schedule().activities();
        return IntStream.range(0, activities.size())
                .filter(i -> {
                    Integer place = places.get(activities.get(i).id());
                    return all
                            || place == null
                            || !old.get(place).equals(activities.get(i))
                            || !graded.gradeOf(old.get(place)).equals(regraded.gradeOf(activities.get(i)))
                            || !before.schedule().activities().get(place).equals(dates.get(i));
                })
                .mapToObj(now::activity)
                .toList();
    }

    private static Map<String, List<LinkView>> predecessors(List<Link> before, List<Link> after) {
        Map<String, List<LinkView>> views = new LinkedHashMap<>();
        Delta<Into<Link>> delta = Delta.of(Into.of(before, Link::to), Into.of(after, Link::to), Into::activity);
        delta.removed().forEach(activity -> views.put(activity, List.of()));
        delta.changed().forEach(into -> views.put(into.activity(), LinkView.of(into.all())));
        delta.added().forEach(into -> views.put(into.activity(), LinkView.of(into.all())));
        return views;
    }
}
