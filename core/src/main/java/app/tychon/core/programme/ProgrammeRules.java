package app.tychon.core.programme;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Risk;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What cannot be true of a programme, apart from loops in its logic. */
final class ProgrammeRules {
    private final Programme programme;
    private final List<Problem> problems = new ArrayList<>();
    private final Map<String, Activity> activities = new HashMap<>();
    private final Map<String, Risk> risks = new HashMap<>();
    private final Set<String> estimated = new HashSet<>();
    private final Set<String> resources = new HashSet<>();

    private ProgrammeRules(Programme programme) {
        this.programme = programme;
    }

    static List<Problem> problems(Programme programme) {
        return new ProgrammeRules(programme).check();
    }

    private List<Problem> check() {
        if (programme.members().isEmpty()) {
            found("/members", "a programme has at least one project");
            return problems;
        }
        Set<String> codes = new HashSet<>();
        Map<String, String> draws = new HashMap<>();
        for (int i = 0; i < programme.members().size(); i++) {
            member("/members/" + i, programme.members().get(i), codes, draws);
        }
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < programme.ties().size(); i++) {
            Tie tie = programme.ties().get(i);
            String at = "/ties/" + i;
            if (!ids.add(tie.id())) {
                found(at + "/id", "there is already a tie \"" + tie.id() + "\"");
            }
            tie(at, tie);
        }
        return problems;
    }

    private void found(String pointer, String message) {
        problems.add(new Problem(pointer, message));
    }

    private void member(String at, Member member, Set<String> codes, Map<String, String> draws) {
        Plan plan = member.plan();
        String name = plan.project().name();
        if (!member.code().matches(Part.CODE)) {
            found(
                    at + "/code",
                    "a code has 1 to 12 letters, digits and hyphens, such as VC; this is \"" + member.code() + "\"");
        }
        if (!codes.add(member.code())) {
            found(at + "/code", "there is already a project with the code \"" + member.code() + "\"");
        }
        String same = draws.putIfAbsent(plan.project().draws(), name);
        if (same != null) {
            found(
                    at + "/draws",
                    name + " would draw the same random numbers as " + same
                            + "; give it something of its own to draw by");
        }
        if (!plan.project().currency().equals(programme.currency())
                && member.rate().isEmpty()) {
            found(
                    at + "/rate",
                    name + " counts in " + plan.project().currency() + ": what is one worth in " + programme.currency()
                            + ", and on which day?");
        }
        member.rate()
                .filter(rate -> !(rate.worth() > 0 && rate.worth() < 1e6))
                .ifPresent(rate -> found(at + "/rate", "a rate is above zero; this is " + rate.worth()));
        String prefix = member.part().prefix();
        plan.activities().forEach(one -> activities.put(prefix + one.id(), one));
        plan.activities().forEach(one -> estimated.add(prefix + one.id()));
        plan.costs().forEach(one -> estimated.add(prefix + one.id()));
        plan.risks().forEach(one -> risks.put(prefix + one.id(), one));
        plan.resources().forEach(one -> resources.add(prefix + one.id()));
    }

    private void tie(String at, Tie tie) {
        if (tie instanceof Tie.Logic logic) {
            activity(at + "/from", logic.from());
            activity(at + "/to", logic.to());
            apart(at + "/to", List.of(logic.from(), logic.to()), "work");
        } else if (tie instanceof Tie.SharedRisk shared) {
            shared(at, shared);
        } else if (tie instanceof Tie.Together together) {
            for (int i = 0; i < together.members().size(); i++) {
                String member = together.members().get(i);
                if (!estimated.contains(member)) {
                    found(at + "/members/" + i, "there is no activity or cost line \"" + member + "\"");
                }
            }
            apart(at + "/members", together.members(), "estimates");
            if (!(together.coefficient() >= 0 && together.coefficient() <= 1)) {
                found(at + "/coefficient", "a coefficient lies between 0 and 1; this is " + together.coefficient());
            }
        } else if (tie instanceof Tie.SharedResource resource) {
            for (int i = 0; i < resource.resources().size(); i++) {
                String one = resource.resources().get(i);
                if (!resources.contains(one)) {
                    found(at + "/resources/" + i, "there is no resource \"" + one + "\"");
                }
            }
            apart(at + "/resources", resource.resources(), "resources");
            if (!(resource.limit() > 0)) {
                found(at + "/limit", "a limit is above zero; this is " + resource.limit());
            }
        }
    }

    private void shared(String at, Tie.SharedRisk shared) {
        risk(at + "/risk", shared.risk());
        List<String> all = new ArrayList<>(List.of(shared.risk()));
        all.addAll(shared.others());
        for (int i = 0; i < shared.others().size(); i++) {
            String pointer = at + "/others/" + i;
            String other = shared.others().get(i);
            if (!risk(pointer, other)) {
                continue;
            }
            Risk risk = risks.get(other);
            if (risk.onlyIf().isPresent() || risk.exclusiveGroup().isPresent()) {
                found(
                        pointer,
                        "risk \"" + other
                                + "\" already depends on others of its own register; let it be the first of what is shared");
            }
            if (risk.recurrence().isPresent()) {
                found(pointer, "risk \"" + other + "\" strikes several times, so one event cannot be shared");
            }
        }
        apart(at + "/others", all, "risks");
    }

    private boolean risk(String pointer, String id) {
        if (!risks.containsKey(id)) {
            missing(pointer, "risk", id);
        }
        return risks.containsKey(id);
    }

    private void missing(String pointer, String what, String id) {
        found(
                pointer,
                id.isBlank()
                        ? "which " + what + "? The project's code comes first, as in KR:S50"
                        : "there is no " + what + " \"" + id + "\"");
    }

    private void activity(String pointer, String id) {
        if (!activities.containsKey(id)) {
            missing(pointer, "activity", id);
        }
    }

    /** A tie binds two projects or more; what is within one is said there. */
    private void apart(String pointer, List<String> ids, String what) {
        long projects = ids.stream().map(Part::codeOf).distinct().count();
        if (projects < 2) {
            found(pointer, "a tie binds " + what + " of two projects; within one project it is said there");
        }
        if (ids.stream().distinct().count() < ids.size()) {
            found(pointer, "something is named twice");
        }
    }
}
