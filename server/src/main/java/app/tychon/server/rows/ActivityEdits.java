package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityRules;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Renaming;
import app.tychon.exchange.costs.CrewText;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Edits of activities, and new ones, as a list: a cell, a selection, a pasted block. */
final class ActivityEdits implements Edit {
    private final List<RowEdit> edits;
    /** Which edit is about which activity, by the code it has in the end. */
    private final Map<String, Integer> editOf = new HashMap<>();

    ActivityEdits(List<RowEdit> edits) {
        this.edits = edits;
    }

    @Override
    public Outcome apply(Plan before) {
        List<Problem> problems = new ArrayList<>();
        NewActivities added = new NewActivities(before, edits, problems);
        Plan plan = added.plan();
        Map<String, Activity> known =
                plan.activities().stream().collect(Collectors.toMap(Activity::id, Function.identity(), (a, b) -> a));
        Map<String, Activity> changed = new HashMap<>();
        ActivityFields fields = new ActivityFields(plan, Estimates.of(plan));
        for (int i = 0; i < edits.size(); i++) {
            String id = added.idOf(i);
            Activity activity = changed.getOrDefault(id, known.get(id));
            if (activity == null) {
                problems.add(new Problem("/" + i + "/id", "there is no activity \"" + id + "\""));
                continue;
            }
            editOf.put(id, i);
            List<Problem> here = new ArrayList<>();
            Activity edited = fields.apply(activity, edits.get(i), here);
            if (here.isEmpty()) {
                here.addAll(ActivityRules.problems(edited));
            }
            int index = i;
            here.forEach(p -> problems.add(new Problem("/" + index + p.pointer(), p.message())));
            changed.put(id, edited);
        }
        Relinking relinking = Relinking.of(plan, edits, added::idOf, problems);
        plan = crewed(plan, added, problems);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        plan = plan.withActivities(plan.activities().stream()
                .map(a -> changed.getOrDefault(a.id(), a))
                .toList());
        return new Outcome(recoded(relinking.apply(plan), added), EditLabel.of(edits, added, before));
    }

    /** The resources at work on an activity, all of them. */
    private Plan crewed(Plan plan, NewActivities added, List<Problem> problems) {
        Map<String, List<Assignment>> crews = new HashMap<>();
        for (int i = 0; i < edits.size(); i++) {
            JsonNode crew = edits.get(i).crew();
            if (crew != null) {
                try {
                    crews.put(added.idOf(i), CrewText.read(crew.asText(), added.idOf(i), plan));
                } catch (IllegalArgumentException e) {
                    problems.add(new Problem("/" + i + "/crew", e.getMessage()));
                }
            }
        }
        if (crews.isEmpty()) {
            return plan;
        }
        List<Assignment> all = new ArrayList<>(plan.assignments().stream()
                .filter(one -> !crews.containsKey(one.activity()))
                .toList());
        crews.values().forEach(all::addAll);
        return plan.withAssignments(all);
    }

    private Plan recoded(Plan plan, NewActivities added) {
        Map<String, String> codes = new HashMap<>();
        for (int i = 0; i < edits.size(); i++) {
            if (edits.get(i).code() != null) {
                String code = edits.get(i).code().asText().strip();
                editOf.put(code, i);
                codes.put(added.idOf(i), code);
            }
        }
        return codes.isEmpty() ? plan : Renaming.of(plan, codes);
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        String[] parts = problem.pointer().split("/");
        String section = parts.length > 2 ? parts[1] : "";
        if (section.equals("links")) {
            Link link = plan.links().get(Integer.parseInt(parts[2]));
            int edit = editOf.containsKey(link.to()) ? editOf.get(link.to()) : firstRelinking();
            return new Problem("/" + edit + "/predecessors", problem.message());
        }
        if (section.equals("assignments")) {
            String id = plan.assignments().get(Integer.parseInt(parts[2])).activity();
            return new Problem("/" + editOf.getOrDefault(id, 0) + "/crew", problem.message());
        }
        if (section.equals("activities")) {
            String id = plan.activities().get(Integer.parseInt(parts[2])).id();
            String field = parts.length > 3 ? "/" + parts[3] : "";
            String told = field.equals("/id") ? "/code" : field;
            return new Problem("/" + editOf.getOrDefault(id, 0) + told, problem.message());
        }
        return problem;
    }

    private int firstRelinking() {
        for (int i = 0; i < edits.size(); i++) {
            if (edits.get(i).predecessors() != null) {
                return i;
            }
        }
        return 0;
    }
}
