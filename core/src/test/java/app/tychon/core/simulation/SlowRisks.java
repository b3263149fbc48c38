package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.core.simulation.risk.RiskModel;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What risks do to one duration, worked out plainly from the plan; the reference for {@link RiskModel}. */
final class SlowRisks {
    /** An impact that struck, with its drawn size. */
    record Blow(Impact impact, double size) {}

    private final Plan plan;

    SlowRisks(Plan plan) {
        this.plan = plan;
    }

    /** Minutes after all blows of an iteration. */
    double bend(Activity activity, double minutes, List<Blow> blows) {
        if (activity.isHammock() || activity.progress().isFinished()) {
            return minutes;
        }
        boolean largest = activity.combineRisks() == CombineRisks.LARGEST;
        double scale = 1;
        double added = 0;
        for (Blow blow : blows) {
            for (String on : blow.impact().on()) {
                if (!strikes(blow.impact(), on, activity)) {
                    continue;
                }
                if (blow.impact().effect() == Impact.Effect.SCALE_TIME) {
                    boolean farther = Math.abs(Math.log(blow.size())) > Math.abs(Math.log(scale));
                    scale = !largest ? scale * blow.size() : farther ? blow.size() : scale;
                } else {
                    double more = blow.size() * minutesEach(activity, blow.impact());
                    added = !largest ? added + more : Math.abs(more) > Math.abs(added) ? more : added;
                }
            }
        }
        return Math.max(0, minutes * scale + added);
    }

    private boolean strikes(Impact impact, String on, Activity activity) {
        if (on.equals(activity.id())) {
            return true;
        }
        if (!isIn(on, activity)) {
            return false;
        }
        if (impact.effect() == Impact.Effect.SCALE_TIME) {
            return true;
        }
        Set<String> inside = new HashSet<>();
        plan.activities().stream().filter(a -> isIn(on, a) && !a.isHammock()).forEach(a -> inside.add(a.id()));
        return !leadsTo(activity.id(), inside);
    }

    /** Whether a path of links leads from an activity to one of others; hammocks lead nowhere. */
    private boolean leadsTo(String from, Set<String> others) {
        return plan.links().stream()
                .filter(l -> l.from().equals(from))
                .filter(l -> plan.activities().stream().noneMatch(a -> a.id().equals(l.to()) && a.isHammock()))
                .anyMatch(l -> others.contains(l.to()) || leadsTo(l.to(), others));
    }

    private boolean isIn(String branch, Activity activity) {
        if (branch.equals(Plan.PROJECT)) {
            return true;
        }
        for (String at = activity.wbs(); at != null; at = parent(at)) {
            if (at.equals(branch)) {
                return true;
            }
        }
        return false;
    }

    private String parent(String branch) {
        return plan.wbs().stream()
                .filter(b -> b.id().equals(branch))
                .findFirst()
                .flatMap(WbsNode::parent)
                .orElse(null);
    }

    private double minutesEach(Activity activity, Impact impact) {
        CalendarDefinition calendar = plan.calendars().stream()
                .filter(c -> c.id().equals(activity.calendar()))
                .findFirst()
                .orElseThrow();
        boolean hours = impact.distribution().basis() == Basis.HOURS;
        double day = activity.duration().isElapsed() ? 24 : calendar.hoursPerDay();
        return hours ? 60 : day * 60;
    }
}
